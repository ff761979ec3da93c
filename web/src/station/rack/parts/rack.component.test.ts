/** @jest-environment jsdom */
import type { Piece, PieceSummary, Shelf } from '@icy-ribbon/contract';
import { lifeAt, lifeDates, type LifeFacts } from '@icy-ribbon/core/flow/drying';
import { careInShort, type LoggedCare } from '@icy-ribbon/core/piece/care';
import { flushPromises, mount } from '@vue/test-utils';
import { createPinia, setActivePinia } from 'pinia';
import { createMemoryHistory, createRouter } from 'vue-router';
import { nextTick } from 'vue';
import { useEquipment } from '#store/equipment.ts';
import { usePiece } from '#store/piece/piece.ts';
import { useRack } from '#store/rack.ts';
import ClosingList from '#field/ClosingList.vue';
import BubbleLevel from './BubbleLevel.vue';
import CropFrame from './CropFrame.vue';
import LifeLine from './LifeLine.vue';
import ShelfFront from './ShelfFront.vue';
import SketchOverlay from './SketchOverlay.vue';
import SketchTools from './SketchTools.vue';
import { gridOf, useSketch } from './useSketch.ts';

const HOUR = 3_600_000;
const AT = '2026-03-01T10:00:00.000Z';
const brush = { materialId: '3f0e8a52-1f5b-4b61-9d2c-6f8d1f3f9a10', name: 'Rust', colorHex: '#9c4a2c' };

beforeEach(() => {
  localStorage.clear();
  setActivePinia(createPinia());
});

const router = () =>
  createRouter({
    history: createMemoryHistory(),
    routes: [{ path: '/:rest(.*)*', component: { template: '<main></main>' } }],
  });

/** Answers calls of the API; @returns what was sent */
function answering(answer: (path: string, body: Record<string, unknown>) => unknown): string[] {
  const sent: string[] = [];
  globalThis.fetch = ((path: string, init?: { method?: string; body?: string }) => {
    sent.push(`${init?.method ?? 'GET'} ${path}`);
    const body = init?.body ? (JSON.parse(init.body) as Record<string, unknown>) : {};
    const answered = answer(path, body);
    return Promise.resolve({
      ...{ ok: true, status: init?.method === 'POST' ? 201 : 200, headers: new Map() },
      json: () => Promise.resolve(answered),
      text: () => Promise.resolve(JSON.stringify(answered)),
    });
  }) as never;
  return sent;
}

describe('how far a piece is', () => {
  const facts: LifeFacts = {
    ...{ pouredMs: 0, technique: 'dutch', touchDryMs: null, coats: [], isDone: false },
    drying: { hours: 34, low: 24, high: 48 },
  };
  const at = (hours: number, changes: Partial<LifeFacts> = {}) => {
    const now = { ...facts, ...changes };
    return mount(LifeLine, {
      props: { life: lifeAt(now, hours * HOUR), dates: lifeDates(now), nowMs: hours * HOUR },
    });
  };

  it('is said with what comes next, and when', () => {
    expect(at(2).get('.headline').text()).toMatch(/^skinned over in 6\sh$/);
    expect(at(30).get('.headline').text()).toBe('maybe touch-dry');
    expect(
      at(24 * 8)
        .get('.headline')
        .text(),
    ).toBe('ready for a top coat');
  });

  it('every wait stands below, those that are over marked; under a coat none of them does', () => {
    expect(at(50).findAll('li.over')).toHaveLength(2);
    const coated = at(24 * 9, { coats: [{ kind: 'resin', ms: 24 * 8 * HOUR }] });
    expect(coated.find('ol').exists()).toBe(false);
    expect(coated.get('.band > span').attributes('style')).toMatch(/33\.3/);
  });
});

describe('the bubble of a level', () => {
  const level = (modelValue: { acrossMmPerM: number | null; downMmPerM: number | null }) =>
    mount(BubbleLevel, { props: { modelValue } });
  const middle = 84;

  it('goes to the higher side', () => {
    const bubble = level({ acrossMmPerM: 3, downMmPerM: -1 }).get('.bubble');
    expect(Number(bubble.attributes('cx'))).toBeLessThan(middle);
    expect(Number(bubble.attributes('cy'))).toBeGreaterThan(middle);
  });

  it('where it is pressed says which side lies deeper, in half millimeters', async () => {
    const shown = level({ acrossMmPerM: null, downMmPerM: null });
    await shown.get('svg').trigger('pointerdown', { clientX: middle + 27, clientY: middle });
    expect(shown.emitted('update:modelValue')?.at(-1)).toEqual([{ acrossMmPerM: -2, downMmPerM: -0 }]);
    expect(shown.emitted('set')).toHaveLength(1);
  });
});

describe('the frame of a crop', () => {
  const part = { x: 0.2, y: 0.3, width: 0.4, height: 0.5 };

  it('is moved and resized by keys', async () => {
    const shown = mount(CropFrame, { props: { part } });
    const frame = shown.get('.frame');
    await frame.trigger('keydown', { key: 'ArrowLeft' });
    await frame.trigger('keydown', { key: '+' });
    const [[moved], [grown]] = shown.emitted('move') as [[typeof part], [typeof part]];
    expect(moved.x).toBeCloseTo(0.19, 9);
    expect(grown.width).toBeCloseTo(0.42, 9);
    expect(grown.width / grown.height).toBeCloseTo(0.8, 9);
  });

  it('grows no farther than the face', async () => {
    const shown = mount(CropFrame, { props: { part: { x: 0.6, y: 0.5, width: 0.4, height: 0.5 } } });
    await shown.get('.frame').trigger('keydown', { key: '+' });
    const [[same]] = shown.emitted('move') as [[typeof part]];
    expect(same.width).toBeCloseTo(0.4, 9);
  });
});

describe('marks of a sketch', () => {
  const support = { widthMm: 300, heightMm: 200 };
  const mark = (changes: object) =>
    ({
      ...{ id: 'm', kind: 'stroke', ...brush, widthMm: 12, onlyOn: null },
      points: [
        [10, 10],
        [50, 20],
      ],
      ...changes,
    }) as never;

  it('are drawn to scale in their paint, what is masked behind its color', () => {
    const masks = new Map([['Oyster', 'data:image/png;base64,AA==']]);
    const marks = [mark({}), mark({ id: 'n', kind: 'cut-out', onlyOn: 'Oyster' })];
    const shown = mount(SketchOverlay, { props: { support, marks, masks } });
    expect(shown.attributes('viewBox')).toBe('0 0 300 200');
    const stroke = shown.get('.stroke');
    expect(stroke.attributes('stroke-width')).toBe('12');
    expect(stroke.attributes('d')).toBe('M10.0 10.0L50.0 20.0');
    const [free, masked] = shown.findAll('g');
    expect(free?.attributes('mask')).toBeUndefined();
    expect(masked?.attributes('mask')).toMatch(/^url\(#/);
  });

  it('a tool is taken in hand by a press', async () => {
    const shown = mount(SketchTools, { props: { modelValue: 'stroke' } });
    await shown.get('button[aria-label="Petal"]').trigger('click');
    expect(shown.emitted('update:modelValue')).toEqual([['petal']]);
    expect(shown.get('button[aria-label="Petal"]').attributes('aria-pressed')).toBe('true');
  });
});

const piece = (care: LoggedCare[] = []) =>
  ({
    ...{ id: 'p', version: 1, name: 'Rain shutter', technique: 'dutch', mixes: [], readings: [], events: [] },
    ...{ plan: null, photos: [], judgement: null, topCoatedAt: null, touchDryAt: null, origin: null, care },
    support: {
      supportId: 's',
      name: 'Board',
      shape: 'rectangle',
      widthMm: 300,
      heightMm: 400,
      sideDepthMm: 18,
    },
  }) as unknown as Piece;

describe('the try that is drawn', () => {
  const points = [
    [10, 10],
    [20, 20],
    [30, 10],
  ] as const;
  const how = { widthMm: 20, onlyOn: null };

  it('is kept on the device with each mark, goes back and forth, and outlives the page', () => {
    usePiece().piece = piece();
    const sketch = useSketch(piece());
    sketch.add('stroke', points, brush, how);
    sketch.add('area', points.slice(0, 2), brush, how);
    expect(sketch.draft.value.marks).toHaveLength(1);
    sketch.add('petal', points, brush, how);
    sketch.undo();
    sketch.redo();
    expect(sketch.draft.value.marks.map(({ kind }) => kind)).toEqual(['stroke', 'petal']);
    expect(sketch.isKept.value).toBe(false);
  });

  it('is kept in the record, and taking up another keeps it first', async () => {
    const store = usePiece();
    store.piece = piece();
    const log: LoggedCare[] = [];
    answering((_path, body) => {
      log.push(body as never);
      return { care: log };
    });
    const sketch = useSketch(piece());
    sketch.add('stroke', points, brush, how);
    await sketch.keep();
    expect(sketch.isKept.value).toBe(true);
    await sketch.begin();
    expect(sketch.draft.value.marks).toEqual([]);
    expect(sketch.tries.value.map(({ name }) => name)).toEqual(['First try']);
    sketch.add('stroke', points, brush, how);
    await sketch.take(sketch.tries.value[0]!);
    expect(sketch.tries.value).toHaveLength(2);
    await sketch.choose();
    expect(sketch.tries.value.filter(({ chosen }) => chosen)).toHaveLength(1);
    await sketch.throwAway();
    expect(sketch.tries.value).toHaveLength(1);
  });

  it('without a measured photo it is measured on the bare face', () => {
    const grid = gridOf(piece(), null, []);
    expect([grid.width, grid.height, grid.labels]).toEqual([270, 360, undefined]);
  });
});

describe('a shelf', () => {
  const shelf = {
    ...{ id: 'shelf', version: 1, createdAt: AT, updatedAt: AT, deletedAt: null },
    ...{ kind: 'shelf', name: 'Upper', depthMm: 420 },
    slots: [
      { id: 'l', name: 'left', widthMm: 400 },
      { id: 'r', name: 'right', widthMm: 700 },
    ],
  } as Shelf;
  const summary = (name: string, slotId: string, changes: object = {}): PieceSummary =>
    ({
      ...{ id: name, version: 1, name, technique: 'dutch', phase: 'judged', mixes: [], passes: [{}] },
      ...{ pouredAt: new Date(Date.now() - 3 * HOUR).toISOString(), touchDryAt: null, photo: null },
      drying: { hours: 34, low: 24, high: 48, thickMm: 1.2, driftMmPerSlope: 8 },
      support: { shape: 'rectangle', widthMm: 300, heightMm: 400, sideDepthMm: 18 },
      care: careInShort(
        [{ id: name, at: AT, kind: 'place', data: { shelfId: 'shelf', slotId } } as LoggedCare],
        null,
      ),
      ...changes,
    }) as never;

  it('says how far each piece is, and where the one that is not level goes', async () => {
    const rack = useRack();
    useEquipment().items = [shelf];
    const off = summary('B', 'r');
    rack.items = [
      summary('A', 'l'),
      { ...off, care: { ...off.care, level: { acrossMmPerM: 2, downMmPerM: 0 } } },
    ];
    const shown = mount(ShelfFront, {
      props: { shelf, pxPerMm: 0.5 },
      global: { plugins: [router()], stubs: { PlanPicture: true } },
    });
    await nextTick();
    const [a, b] = shown.findAll('li');
    expect(a?.text()).toMatch(/^Awet, skinned over/);
    expect(b?.text()).toMatch(/drifts 16\.0\smm to the right/);
    expect(shown.findAll('.piece').map((each) => each.attributes('style'))).toEqual([
      expect.stringContaining('width: 150px'),
      expect.stringContaining('left: 205px'),
    ]);
  });

  it('knows what fits where, beside what lies there, and what lies elsewhere', () => {
    const rack = useRack();
    useEquipment().items = [shelf];
    rack.items = [summary('A', 'l'), summary('B', 'gone')];
    const size = { widthMm: 300, heightMm: 400 };
    expect(rack.slotsFor(size).map(({ slot, lying }) => [slot.id, lying !== null])).toEqual([
      ['l', false],
      ['r', true],
    ]);
    expect(rack.slotsFor(size, 'A')[0]?.lying).not.toBeNull();
    expect(rack.elsewhere.map(({ piece: { name } }) => name)).toEqual(['B']);
    expect(rack.dates.map(({ kind, name }) => `${name} ${kind}`)).toEqual([
      'A dry',
      'B dry',
      'A coat',
      'B coat',
    ]);
  });
});

describe('the closing list', () => {
  it('is ticked off one by one, and a tick is taken back', async () => {
    const store = usePiece();
    store.piece = piece();
    const log: LoggedCare[] = [];
    const sent = answering((_path, body) => {
      log.push(body as never);
      return { care: log };
    });
    const shown = mount(ClosingList, { global: { plugins: [router()] } });
    expect(shown.get('summary').text()).toContain('0 of 6');
    await shown.findAll('input')[1]!.trigger('change');
    await flushPromises();
    expect(shown.get('summary').text()).toContain('1 of 6');
    await shown.findAll('input')[1]!.trigger('change');
    await flushPromises();
    expect(log.map(({ kind }) => kind)).toEqual(['closing', 'void']);
    expect(shown.get('summary').text()).toContain('0 of 6');
    expect(sent).toEqual(['POST /api/pieces/p/care', 'POST /api/pieces/p/care']);
  });
});
