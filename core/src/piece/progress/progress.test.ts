import { pieceProgress } from './progress.ts';

const nothing = { cups: [], planned: false, layers: 0, passes: 0, photos: 0, judged: false };
const cup = (phase: 'planned' | 'weighing' | 'mixed', readings = 0) => ({ phase, readings });

it.each([
  [{}, 'started', 'mix', 'Choose a base and colors.'],
  [{ cups: [cup('planned'), cup('planned')] }, 'started', 'mix', 'Weigh in 2 cups.'],
  [{ cups: [cup('mixed'), cup('weighing')] }, 'mixing', 'mix', 'Weigh in 1 cup.'],
  [{ cups: [cup('mixed')] }, 'mixed', 'thickness', 'Test the thickness.'],
  [{ cups: [cup('mixed', 1)] }, 'mixed', 'plan', 'Plan how to pour it.'],
  [{ cups: [cup('mixed', 1)], planned: true }, 'mixed', 'pour', 'Pour it.'],
  [{ cups: [cup('mixed')], layers: 1 }, 'pouring', 'pour', 'Blow it out and log each pass.'],
  [{ cups: [cup('mixed')], layers: 1, passes: 1 }, 'poured', 'results', 'Attach a photo and judge it.'],
  [{ cups: [cup('mixed')], layers: 1, passes: 1, photos: 1 }, 'poured', 'results', 'Judge it.'],
  [{ layers: 1, passes: 1, photos: 1, judged: true }, 'judged', 'results', 'Compare it with the others.'],
  [{ photos: 1, judged: true, verdict: 'finish' }, 'judged', 'rack', 'Let it dry, then finish it.'],
  [{ photos: 1, judged: true, verdict: 'keep' }, 'judged', 'results', 'Compare it with the others.'],
  [
    { judged: true, verdict: 'finish', care: { isCoated: true, isDone: false } },
    'judged',
    'rack',
    'Let its coat cure.',
  ],
  [{ judged: true, care: { isCoated: true, isDone: true } }, 'judged', 'rack', 'Show it.'],
  [{ cropped: true }, 'judged', 'rack', 'Finish it, or hang it as it is.'],
] as const)('%j is %s', (facts, phase, station, next) => {
  expect(pieceProgress({ ...nothing, ...facts })).toEqual({ phase, station, next });
});
