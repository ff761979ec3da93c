import { seededRandom } from '../../base/random/index.ts';
import { thinCup, thinMany } from '../../../testing/simulatedArtist.ts';

const ARTISTS = 300;

it('artists who follow the advice need fewer additions than fixed 5 % steps, and go too far less often', () => {
  const advised = thinMany('advised', ARTISTS, seededRandom(11));
  const fixed = thinMany('fixed 5 %', ARTISTS, seededRandom(11));
  expect(advised.meanAdditions).toBeLessThan(fixed.meanAdditions);
  expect(advised.overshotShare).toBeLessThan(fixed.overshotShare);
  expect(advised.rmsOffLn).toBeLessThan(fixed.rmsOffLn);
});

it('an artist always stops, at the same place from the same seed', () => {
  for (let seed = 1; seed <= 40; seed += 1) {
    const once = thinCup('advised', seededRandom(seed));
    expect(thinCup('advised', seededRandom(seed))).toEqual(once);
    if (once) expect(once.additions).toBeLessThan(12);
  }
});
