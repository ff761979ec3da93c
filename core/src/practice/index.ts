export { thinCup, thinMany, type Manner, type Thinned } from './artist.ts';
