import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { runBench } from '../../server/src/calculation/bench.ts';
import type { MeasureRaceOutput } from '../../server/src/calculation/measureRace.ts';

interface KnownCard {
  readonly photo: string;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly startLineMm: number;
  readonly corners: readonly (readonly [number, number])[];
  readonly lanes: readonly { readonly name: string; readonly hex: string }[];
  readonly truth: { readonly lanes: readonly { readonly name: string; readonly lengthMm: number }[] };
}

const fixture = (name: string) => join(__dirname, '../../server/src/photo/fixtures', name);
const known = (card: string) => JSON.parse(readFileSync(fixture(`${card}.json`), 'utf8')) as KnownCard;
const run = (input: object) => runBench(['measure-race'], () => JSON.stringify(input));

/** What the bench is asked of a card, its lanes in any order. */
function asked(card: KnownCard) {
  const { widthMm, heightMm, startLineMm, corners, photo } = card;
  const lanes = [...card.lanes].reverse().map(({ name, hex }) => ({ name, hex }));
  return { path: fixture(photo), widthMm, heightMm, startLineMm, corners, lanes };
}

it.each(['race-a', 'race-b', 'race-c'])(
  '%s, a card with known lengths: every lane within 3 % or 0.6 mm, given to its own cup',
  async (name) => {
    const card = known(name);
    const { exitCode, document } = await run(asked(card));
    expect(exitCode).toBe(0);
    const { lanes } = document as MeasureRaceOutput;
    const off = card.truth.lanes.map(({ name: lane, lengthMm }) => {
      const found = lanes.find((each) => each.name === lane)?.lengthMm ?? NaN;
      return { lane, lengthMm, found, isNear: Math.abs(found - lengthMm) <= Math.max(0.6, 0.03 * lengthMm) };
    });
    expect(off.filter(({ isNear }) => !isNear)).toEqual([]);
  },
);

it('a tip under glare is said of its lane; pale paint on a pale card is not', async () => {
  const { document } = await run(asked(known('race-c')));
  const { warnings } = document as MeasureRaceOutput;
  expect(warnings.filter(({ code }) => code === 'glare').map(({ lane }) => lane)).toEqual(['cup 2']);
  expect(warnings.filter(({ code }) => code === 'not-found')).toEqual([]);
});

it.each([
  [{ path: fixture('nothing.jpg') }, 'path'],
  [{ path: fixture('race-a.json') }, 'path'],
  [{ startLineMm: -2 }, 'startLineMm'],
  [{ startLineMm: 149 }, 'startLineMm'],
  [{ lanes: [] }, 'lanes'],
  [{ lanes: [{ name: 'one', hex: 'red' }] }, 'lanes.0.hex'],
  [{ lanes: Array.from({ length: 2 }, () => ({ name: 'twice', hex: '#112233' })) }, 'lanes'],
  [{ corners: [...known('race-a').corners].reverse() }, 'corners'],
])('what is wrong with the question is said by its field: %j', async (changed, field) => {
  expect(await run({ ...asked(known('race-a')), ...changed })).toMatchObject({
    exitCode: 2,
    document: { error: { field, message: expect.any(String) } },
  });
});
