import type { Mix, Reading } from '@icy-ribbon/contract';
import type { KeptWrite, TableWrite } from '../keptWrites.ts';
import { mixesWith, readingsWith, waitingEvents } from './waiting.ts';

const at = '2026-05-01T10:00:00.000Z';
const ingredient = (id: string, targetMg: number) => ({
  ...{ id, targetMg, isMetered: false },
  material: { kind: 'heavy-body-tube', densityGPerMl: 1.2, viscosityPaS: 2, materialId: id },
});
const mix = {
  id: 'cup',
  ingredients: [ingredient('paint', 10_000), ingredient('water', 2000)],
  additions: [
    { id: 'a', ingredientId: 'paint', mg: 9000, source: 'typed', at, drawId: null, place: 1 },
    { id: 'b', ingredientId: 'water', mg: 500, source: 'typed', at, drawId: null, place: 2 },
  ],
  movements: [{ id: 'm', kind: 'loss', mg: 10, at, place: 3 }],
} as unknown as Mix;
const other = { ...mix, id: 'other' };
const kept = (write: TableWrite): KeptWrite => ({ id: 'k', pieceId: 'p', order: '1', refused: null, write });
const addition = (id: string, mg: number) =>
  kept({ kind: 'addition', cupId: 'cup', addition: { id, ingredientId: 'water', mg, source: 'typed', at } });

it('what was weighed counts at once, once, after all that happened to the cup; other cups are left as they are', () => {
  const [cup, beside] = mixesWith([mix, other], [addition('c', 700), addition('b', 500)]);
  expect(cup!.additions.map(({ id, place }) => [id, place])).toEqual([
    ['a', 1],
    ['b', 2],
    ['c', 4],
  ]);
  expect(beside).toBe(other);
});

it('what was taken back does not count, also of what waits itself', () => {
  const takeBack = (additionId: string) => kept({ kind: 'take-back', cupId: 'cup', additionId });
  const [cup] = mixesWith([mix], [addition('c', 700), takeBack('c'), takeBack('b')]);
  expect(cup!.additions.map(({ id }) => id)).toEqual(['a']);
});

it('a reading that waits holds what its cup holds now, and one that arrived is not doubled', () => {
  const reading = (id: string) => ({
    ...{ id, cupId: 'cup', raceId: null, temperatureC: 20 },
    measure: { kind: 'mound', fade: 'slow' } as never,
  });
  const known = [{ ...reading('known'), at, struck: false, contents: [] }] as unknown as Reading[];
  const wait = kept({ kind: 'readings', readings: [reading('known'), reading('new')], at });
  const all = readingsWith(known, [wait], [mix]);
  expect(all.map(({ id }) => id)).toEqual(['known', 'new']);
  expect(all[1]!.contents.map(({ ingredientId }) => ingredientId)).toEqual(['paint', 'water']);
  expect(all[1]!.contents[0]!.mg).toBeGreaterThan(8900);
  expect(readingsWith(known, [], [mix])).toBe(known);
});

it('events are told from the rest', () => {
  const event = { id: 'e', kind: 'note', at, data: { text: 'x' } } as never;
  expect(waitingEvents([kept({ kind: 'event', event }), addition('c', 1)])).toEqual([event]);
});
