export { readBlowTest, type BlowTestReading } from './blowTest.ts';
export { soFar, type Mark, type SoFarInput, type Success } from './soFar.ts';
export { readTipTest, type TipTestReading } from './tipTest.ts';
