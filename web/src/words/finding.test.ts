import type { Finding } from '@icy-ribbon/core/piece/check';
import type { ChosenUnits } from '../store/unitChoices.ts';
import { findingWords, fixWords } from './finding.ts';

const METRIC: ChosenUnits = { mass: 'g', volume: 'ml', length: 'cm', temperature: 'C' };
const CUSTOMARY: ChosenUnits = { mass: 'oz', volume: 'fl oz', length: 'in', temperature: 'F' };

const finding = (code: string, facts: object) =>
  ({ id: code, level: 'look', code, facts, fix: null }) as Finding;
const DENT = {
  ...{ pass: 2, bare: false, tool: 'hair-dryer', distanceMm: 80, slantDeg: 90 },
  ...{ dentMm: 3.1, depthMm: 4.2, marginMm: 1.5 },
};

it.each<[string, object, string, string, string]>([
  [
    'short',
    { name: 'Rust', isMixed: true, wantedG: 23, leftG: 0 },
    'Rust is short.',
    '23\u00a0g wanted, 0\u00a0g in the cup',
    '0.81\u00a0oz wanted, 0\u00a0oz in the cup',
  ],
  [
    'short',
    { name: 'Rust', isMixed: false, wantedG: 23, leftG: 0 },
    'Rust is not mixed yet.',
    '23\u00a0g wanted, 0\u00a0g in the cup',
    '0.81\u00a0oz wanted, 0\u00a0oz in the cup',
  ],
  [
    'dent',
    DENT,
    'Pass 2 leaves less than 1.5\u00a0mm in the middle.',
    'Hair dryer, cool at 8.0\u00a0cm, 90°: dent 3.1\u00a0mm in 4.2\u00a0mm',
    'Hair dryer, cool at 3.1\u00a0in, 90°: dent 0.12\u00a0in in 0.17\u00a0in',
  ],
  [
    'dent',
    { ...DENT, bare: true },
    'Pass 2 digs to the support: the middle stays behind.',
    'Hair dryer, cool at 8.0\u00a0cm, 90°: dent 3.1\u00a0mm in 4.2\u00a0mm',
    'Hair dryer, cool at 3.1\u00a0in, 90°: dent 0.12\u00a0in in 0.17\u00a0in',
  ],
  [
    'base-thin',
    { name: 'White', filmMm: 0.2, usualMm: 0.8 },
    'White runs off to too thin a film: bare edges and bands.',
    '0.2\u00a0mm stay; about 0.8\u00a0mm is usual of a base as thick',
    '0.008\u00a0in stay; about 0.031\u00a0in is usual of a base as thick',
  ],
  [
    'dose-much',
    { name: 'net', sheetMm: 0.9 },
    'Much net: a blob stays in the middle and the petals wash out.',
    'a sheet of 0.9\u00a0mm; 0.12\u00a0mm to 0.5\u00a0mm is usual',
    'a sheet of 0.035\u00a0in; 0.005\u00a0in to 0.02\u00a0in is usual',
  ],
  [
    'sinks',
    {
      upper: 'tide',
      lower: 'rust',
      upperGPerMl: 1.42,
      lowerGPerMl: 1.08,
      fromSeconds: 40.2,
      toSeconds: 80.4,
    },
    'tide sinks into rust.',
    '1.42\u00a0g/ml over 1.08\u00a0g/ml and thicker; in 40 to 80\u00a0s',
    '1.48\u00a0oz/fl oz over 1.13\u00a0oz/fl oz and thicker; in 40 to 80\u00a0s',
  ],
  [
    'mud',
    { lower: 'rust', upper: 'tide', keptShare: 0.414 },
    'rust beside tide goes to mud.',
    'their mixture keeps 41\u00a0% of the color',
    'their mixture keeps 41\u00a0% of the color',
  ],
  [
    'opens-late',
    { name: 'net', fromSeconds: 140, toSeconds: 280, waitSeconds: 90 },
    'net needs longer to open than you mean to wait.',
    '2 to 5\u00a0min against 90\u00a0s',
    '2 to 5\u00a0min against 90\u00a0s',
  ],
])('%s %j', (code, facts, words, metric, customary) => {
  expect(findingWords(finding(code, facts), METRIC)).toEqual({ words, because: metric });
  const { words: said, because } = findingWords(finding(code, facts), CUSTOMARY);
  expect(because).toBe(customary);
  expect(said).not.toMatch(/\d (g|ml|mm|cm)\b/);
});

it('cautions stand where they matter', () => {
  const said = ['torch', 'spinner', 'mains', 'breath'].map(
    (code) => findingWords(finding(code, {}), METRIC).words,
  );
  expect(said).toEqual([
    expect.stringMatching(/solvents/),
    expect.stringMatching(/stand clear/),
    expect.stringMatching(/wet hands/),
    expect.stringMatching(/dizzy/),
  ]);
});

it.each([
  [{ kind: 'go', to: 'mix' }, 'To the cup', 'To the cup'],
  [{ kind: 'go', to: 'thickness' }, 'Test and match', 'Test and match'],
  [{ kind: 'mix', cupId: 'x' }, 'Mix what is missing', 'Mix what is missing'],
  [{ kind: 'tick', id: 'x' }, 'Done', 'Done'],
  [{ kind: 'tick', id: 'x', leave: true }, 'Leave it so', 'Leave it so'],
  [{ kind: 'order', stackId: 's', order: [] }, 'Better order', 'Better order'],
  [{ kind: 'layer', layerId: 'l', massG: null }, 'Usual dose', 'Usual dose'],
  [{ kind: 'scale-layers', factor: 0.8 }, 'Lay 20\u00a0% less', 'Lay 20\u00a0% less'],
  [{ kind: 'film', mm: 1 }, 'Aim at 1\u00a0mm', 'Aim at 0.039\u00a0in'],
  [{ kind: 'settings', changes: { waitSeconds: 90 } }, 'Wait 90\u00a0s', 'Wait 90\u00a0s'],
  [{ kind: 'settings', changes: { spinRpm: 60, spinSeconds: 20 } }, 'Spin 20\u00a0s', 'Spin 20\u00a0s'],
  [
    { kind: 'pass', passId: 'p', changes: { distanceMm: 120, slantDeg: 30 } },
    'From 12\u00a0cm, 30° slant',
    'From 4.7\u00a0in, 30° slant',
  ],
  [{ kind: 'add-passes' }, 'Blow it out', 'Blow it out'],
  [{ kind: 'add-base' }, 'Add a base', 'Add a base'],
] as const)('the button of %j', (fix, metric, customary) => {
  expect(fixWords(fix, METRIC)).toBe(metric);
  expect(fixWords(fix, CUSTOMARY)).toBe(customary);
});
