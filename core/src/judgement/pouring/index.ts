export { readBlowTest, type BlowTestReading } from './blowTest.ts';
export { soFar, type SoFarInput, type Standing, type Success } from './soFar.ts';
export { readTipTest, tipAngles, type TipAngles, type TipTestReading } from './tipTest.ts';
