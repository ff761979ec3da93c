import { pourEventSchema, type PourEvent } from '@icy-ribbon/contract';
import { formOf, FREE_EVENTS, type FormKind } from '#words/event.ts';
import { draftOf, eventOf, newDraft } from './eventDraft.ts';

const CUP = '00000000-0000-4000-8000-000000000001';
const envelope = { id: '00000000-0000-4000-8000-000000000009', at: '2026-03-01T10:00:00.000Z' };
const checked = (event: object) => pourEventSchema.parse({ ...envelope, ...event });

it.each([...FREE_EVENTS.flatMap((row): FormKind[] => ('fields' in row ? [row.kind] : [])), 'layer' as const])(
  'what the form of "%s" gives is an event of the log',
  (kind) => {
    const seen = { moves: true, runsOver: false, tiltDeg: 3 };
    const draft = newDraft(kind, { cupId: CUP, words: 'as the rim split', ...seen });
    const { data, kind: logged } = eventOf(kind, draft);
    const whole = kind === 'photo' ? { ...data, photoId: null } : data;
    expect(checked({ kind: logged, data: whole }).kind).toBe(logged);
  },
);

const EVENTS: readonly (Pick<PourEvent, 'kind'> & { data: object })[] = [
  { kind: 'torch', data: { seconds: null } },
  { kind: 'wait', data: { seconds: 75, forWhat: 'cells' } },
  { kind: 'spin', data: { rpm: 33, way: 'clockwise', seconds: 12 } },
  { kind: 'tilt', data: { directionDeg: 270, seconds: 4 } },
  { kind: 'scrape', data: { note: 'the corner' } },
  { kind: 'note', data: { text: 'thin at the edge' } },
  { kind: 'layer', data: { cupId: CUP, mg: 1200 } },
];

it.each(EVENTS)('an event of kind $kind goes into its form and comes out the same', ({ kind, data }) => {
  const event = checked({ kind, data });
  expect(eventOf(formOf(kind)!, draftOf(event))).toEqual({ kind, data });
});

it.each([
  ['blow-test', 'data.moves'],
  ['tip-test', 'data.moves'],
] as const)('a %s without an answer is refused', (kind, path) => {
  const { data } = eventOf(kind, newDraft(kind, { tiltDeg: 3 }));
  const { error } = pourEventSchema.safeParse({ ...envelope, kind, data });
  const issue = error?.issues.find((each) => each.path.join('.') === path);
  expect(issue?.message).toBe('Choose what you saw.');
});

it('an amount that was left empty is refused at its field, not taken for nothing', () => {
  const { data } = eventOf('add-color', newDraft('add-color', { cupId: CUP, mg: null }));
  const result = pourEventSchema.safeParse({ ...envelope, kind: 'layer', data });
  expect(result.error?.issues.map(({ path }) => path.join('.'))).toEqual(['data.mg']);
});

it('what keeps the log in order has no form', () => {
  expect((['plan', 'void', 'step', 'room', 'pass'] as const).map(formOf)).toEqual(
    new Array(5).fill(undefined),
  );
});
