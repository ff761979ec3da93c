import fc from 'fast-check';
import { AIR_TOOL_NAMES, AIR_WAYS } from '@icy-ribbon/core/flow/air';
import { eventOfStep, runSheet } from '@icy-ribbon/core/piece/event';
import { planSchema, STACK_WAYS } from '@icy-ribbon/core/piece/plan';
import { pourEventSchema } from './index.ts';

/** Whatever a plan takes, its run sheet can be done and logged: one rule for both. */

const EDGES = { noNaN: true, noDefaultInfinity: true } as const;
/** From the least to the most, and now and then beyond, where the plan itself refuses it. */
const number = (min: number, max: number) =>
  fc.oneof(
    fc.constantFrom(min, max),
    fc.double({ min, max, ...EDGES }),
    fc.double({ min: 0, max: 1e6, ...EDGES }),
  );
const place = fc.record({ x: number(-5000, 10_000), y: number(-5000, 10_000) });
const id = fc.oneof(fc.uuid(), fc.string({ minLength: 1, maxLength: 80 }));
const words = fc.oneof(fc.constantFrom('', '  ', 'soft', 'x'.repeat(40)), fc.string({ maxLength: 40 }));
const layers = fc.array(fc.record({ id, cupId: fc.uuid(), massG: fc.option(number(0.001, 50_000)) }), {
  minLength: 1,
  maxLength: 3,
});
const pass = fc.record(
  {
    ...{ id, tool: fc.constantFrom(...AIR_TOOL_NAMES), setting: words, at: place },
    ...{
      directionDeg: number(0, 359.9),
      distanceMm: number(5, 3000),
      slantDeg: number(5, 90),
      seconds: number(0.01, 600),
    },
    end: fc.option(fc.record({ distanceMm: number(5, 3000), setting: words })),
    way: fc.constantFrom(...AIR_WAYS),
  },
  { requiredKeys: ['id', 'tool', 'at', 'directionDeg', 'distanceMm', 'slantDeg', 'seconds'] },
);
const plan = fc.record({
  base: fc.option(
    fc.record({
      pattern: fc.constant('one'),
      areas: fc.array(fc.record({ cupId: fc.uuid(), share: fc.double({ min: 0, max: 1, noNaN: true }) }), {
        minLength: 1,
        maxLength: 3,
      }),
      seam: fc.constant(null),
      film: fc.record({ kind: fc.constant('run-off'), tiltDeg: number(0.1, 90), seconds: number(0.1, 3600) }),
    }),
  ),
  stacks: fc.array(
    fc.record({ id, at: place, footprintMm: number(5, 5000), way: fc.constantFrom(...STACK_WAYS), layers }),
    { maxLength: 2 },
  ),
  paths: fc.array(
    fc.record({
      id,
      kind: fc.constantFrom('ribbon', 'flood'),
      start: place,
      control: place,
      end: place,
      layers,
    }),
    { maxLength: 2 },
  ),
  passes: fc.array(pass, { maxLength: 3 }),
  settings: fc.record({
    ...{ spinRpm: number(0, 600), spinSeconds: number(0, 3600), spinTimes: fc.integer({ min: 1, max: 20 }) },
    ...{ standSeconds: number(1, 36_000), waitSeconds: number(0, 36_000) },
    ...{ card: fc.boolean(), straw: fc.boolean(), skewer: fc.boolean(), blowTest: fc.boolean() },
  }),
});
const support = { shape: 'rectangle', widthMm: 400, heightMm: 300, depthMm: 20 } as const;

it('every plan that is taken can be logged step by step, as planned', () => {
  let taken = 0;
  fc.assert(
    fc.property(plan, fc.integer({ min: 1, max: 50_000_000 }), (given, mg) => {
      const { data: body } = planSchema.safeParse(given);
      if (!body) return;
      taken += 1;
      const steps = runSheet(body as never, support as never, { layer: () => 10, base: () => 10 });
      for (const step of steps) {
        const logged = eventOfStep(step, {
          plan: body as never,
          support: support as never,
          mg,
          words: '',
          blower: () => null,
        });
        const event = { id: '3f0e8a52-1f5b-4b61-9d2c-6f8d1f3f9a10', at: '2026-03-01T09:30:00Z', ...logged };
        expect(pourEventSchema.safeParse(event).error?.issues).toBeUndefined();
      }
    }),
    { numRuns: 600 },
  );
  expect(taken).toBeGreaterThan(60);
});
