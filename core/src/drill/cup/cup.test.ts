import { seededRandom } from '../../base/random/index.ts';
import { LIMITS } from '../../paint/stage/index.ts';
import {
  advisedPlay,
  FRESH_MG,
  hiddenCup,
  LUMP_SHARE,
  lumpsOf,
  offTargetLn,
  scoreThinning,
  thinned,
  trueLn,
  type ThinPlay,
} from './index.ts';

const cups = (count: number, seed = 21) => {
  const random = seededRandom(seed);
  const found = [];
  while (found.length < count) {
    const cup = hiddenCup(random);
    if (offTargetLn(cup, FRESH_MG) > Math.log(LIMITS.alikeRatio)) found.push(cup);
  }
  return found;
};

it('water thins a cup, as strongly as it hides', () => {
  const weak = { dryLn: 1.5, answer: 0.7 };
  const strong = { dryLn: 1.5, answer: 1.3 };
  const wet = thinned(FRESH_MG, 6000);
  expect(trueLn(weak, wet)).toBeLessThan(1.5);
  expect(trueLn(strong, wet)).toBeLessThan(trueLn(weak, wet));
});

it('what the advice does with a cup scores well, and leaves hardly a lump', () => {
  const random = seededRandom(5);
  const plays = cups(300).map((cup) => advisedPlay(cup, random));
  const scores = plays.map((play) => scoreThinning(play, play).score);
  expect(scores.filter((score) => score >= 90).length / scores.length).toBeGreaterThan(0.85);
  const lumpy = plays.filter(({ additionsMg }) => lumpsOf(additionsMg) > 0);
  expect(lumpy.length / plays.length).toBeLessThan(0.05);
});

it('a fixed step of 5 % scores below the advice on average', () => {
  const random = seededRandom(6);
  let [advised, fixed] = [0, 0];
  for (const cup of cups(200)) {
    const own = advisedPlay(cup, random);
    let contentsMg = FRESH_MG;
    const additionsMg: number[] = [];
    while (offTargetLn(cup, contentsMg) > 0.1 && additionsMg.length < 20) {
      const mg = 0.05 * contentsMg.reduce((sum, each) => sum + each, 0);
      contentsMg = thinned(contentsMg, mg);
      additionsMg.push(mg);
    }
    advised += scoreThinning(own, own).score;
    fixed += scoreThinning({ additionsMg, readings: 0, offLn: offTargetLn(cup, contentsMg) }, own).score;
  }
  expect(fixed).toBeLessThan(advised);
});

describe('points', () => {
  const advised: ThinPlay = { additionsMg: [5000, 3000], readings: 3, offLn: 0.05 };
  const play = (changes: Partial<ThinPlay>) => scoreThinning({ ...advised, ...changes }, advised);

  it('are lost by lumps, by more additions, by going too far', () => {
    expect(play({}).score).toBe(100);
    expect(play({ additionsMg: [1.1 * LUMP_SHARE * 45_000] })).toMatchObject({ lumps: 1, score: 85 });
    expect(play({ additionsMg: [3000, 2000, 2000, 1000] }).score).toBe(84);
    expect(play({ offLn: -0.2 })).toMatchObject({ isTooFar: true, score: 70 });
    expect(play({ offLn: 1.6 }).score).toBe(0);
  });

  it('too thin costs more than as much too thick: water cannot be taken out', () => {
    expect(play({ offLn: -0.5 }).score).toBeLessThan(play({ offLn: 0.5 }).score);
  });
});
