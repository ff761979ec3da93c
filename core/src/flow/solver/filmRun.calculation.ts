import { z } from 'zod';
import { defineCalculation } from '../../base/calculation/define.ts';
import { densityKgM3, positive } from '../../base/calculation/fields.ts';
import { runFilm } from './filmRun.ts';

const place = (what: string) =>
  z
    .number(`Give ${what} in mm as a number.`)
    .min(-2000, 'This lies far off the support.')
    .max(4000, 'This lies far off the support.');
const seconds = positive('the seconds').max(3600, 'That is longer than an hour: give seconds.');
const viscosityPaS = z
  .number('Give the viscosity in Pa·s as a number.')
  .min(1e-3, 'The viscosity is at least that of water, 0.001 Pa·s.')
  .max(1e5, 'The viscosity is in Pa·s; paint lies below 100.');
const degrees = (what: string) =>
  z
    .number(`Give ${what} in degrees as a number.`)
    .min(-360, 'An angle lies between -360 and 360 degrees.')
    .max(360, 'An angle lies between -360 and 360 degrees.');
const layer = z.string().min(1, 'Name the layer.').max(80, 'A name has at most 80 characters.');
const sideMm = (what: string) => positive(what).max(2000, 'A support is at most 2 m long.');

const step = z.discriminatedUnion(
  'kind',
  [
    z.strictObject({ kind: z.literal('rest'), seconds }),
    z.strictObject({
      kind: z.literal('tilt'),
      deg: z
        .number('Give the tilt in degrees as a number.')
        .min(0, 'A tilt lies between 0 and 89 degrees.')
        .max(89, 'A tilt lies between 0 and 89 degrees.'),
      directionDeg: degrees('the way down'),
      seconds,
    }),
    z.strictObject({
      kind: z.literal('spin'),
      rpm: z
        .number('Give the turns a minute as a number.')
        .min(-3000, 'At most 3000 turns a minute.')
        .max(3000, 'At most 3000 turns a minute.'),
      xMm: place('the middle'),
      yMm: place('the middle'),
      seconds,
    }),
    z.strictObject({
      kind: z.literal('air'),
      exitSpeedMS: positive('the exit speed in m/s').max(340, 'The exit speed is at most that of sound.'),
      exitDiameterMm: positive('the exit’s diameter in mm').max(500, 'The exit is at most 500 mm wide.'),
      distanceMm: z
        .number('Give the distance in mm as a number.')
        .min(5, 'The distance is at least 5 mm.')
        .max(5000, 'The distance is at most 5 m.'),
      slantDeg: positive('the slant in degrees').max(90, 'The slant is at most 90 degrees: straight down.'),
      directionDeg: degrees('where the air goes'),
      xMm: place('where the air lands'),
      yMm: place('where the air lands'),
      seconds,
    }),
  ],
  'A step is of the kind "rest", "tilt", "spin" or "air".',
);

export const filmRunCalculation = defineCalculation({
  name: 'film-run',
  title: 'How layers of paint run, spread and are blown',
  law: 'lubrication of a stack of layers, h_i + dt div(h_i u_i) = 0, on a grid; surface pressure by alternating directions',
  source:
    'Lubrication theory (Oron, Davis & Bankoff 1997); Ellis fluid; limiters of van Leer 1977; jet as in "jet" (from memory)',
  range: 'Films much wider than thick; cells about 1 mm; paint only over paint or a wetted face.',
  assumes:
    'Layers keep their order; no surface tension, no yield; weight differences smoothed over two cells; friction and wall jet of the air.',
  typical: 'Shear of 2 to 4 Pa at which paint runs twice as fast (tauHalfPa).',
  example: {
    widthMm: 60,
    heightMm: 60,
    cellMm: 3,
    edge: 'open',
    layers: [
      { name: 'base', viscosityPaS: 2.2, densityKgM3: 1080 },
      { name: 'color', viscosityPaS: 1.5, densityKgM3: 1120 },
    ],
    films: [{ layer: 'base', thicknessMm: 3 }],
    puddles: [{ layer: 'color', xMm: 30, yMm: 30, radiusMm: 15, volumeMl: 0.8 }],
    steps: [
      { kind: 'rest', seconds: 1 },
      {
        kind: 'air',
        exitSpeedMS: 15,
        exitDiameterMm: 12,
        distanceMm: 100,
        slantDeg: 25,
        directionDeg: 90,
        xMm: 25,
        yMm: 30,
        seconds: 0.5,
      },
    ],
    tauHalfPa: 3,
  },
  isLong: true,
  input: z.strictObject({
    widthMm: sideMm('the width in mm'),
    heightMm: sideMm('the height in mm'),
    cellMm: positive('the cell in mm').min(0.05, 'A cell is at least 0.05 mm wide.'),
    edge: z.enum(['open', 'wall'], 'The edge is "open" or "wall".'),
    layers: z
      .array(
        z.strictObject({ name: layer, viscosityPaS, densityKgM3 }),
        'Give the layers from the support up.',
      )
      .min(1, 'Give at least one layer.')
      .max(16, 'At most 16 layers.')
      .refine(
        (layers) => new Set(layers.map(({ name }) => name)).size === layers.length,
        'Each layer needs a name of its own.',
      ),
    films: z
      .array(
        z.strictObject({
          layer,
          thicknessMm: positive('the thickness in mm').max(50, 'A film is at most 50 mm thick.'),
        }),
        'Give the films; none is [].',
      )
      .max(16, 'At most 16 films.'),
    puddles: z
      .array(
        z.strictObject({
          layer,
          xMm: place('the middle'),
          yMm: place('the middle'),
          radiusMm: positive('the radius in mm').max(2000, 'A puddle is at most 2 m wide.'),
          volumeMl: positive('the volume in ml').max(5000, 'A puddle holds at most 5 liters.'),
        }),
        'Give the puddles; none is [].',
      )
      .max(400, 'At most 400 puddles.'),
    steps: z.array(step, 'Give the steps in order; none is [].').max(400, 'At most 400 steps.'),
    tauHalfPa: positive('the shear at which the paint runs twice as fast')
      .max(1e6, 'Paint thins between 1 and 10 Pa; null is paint that does not.')
      .nullable(),
  }),
  output: z.object({
    seconds: z.number(),
    steps: z.number(),
    layers: z.array(
      z.object({
        name: z.string(),
        volumeMl: z.number(),
        lostMl: z.number(),
        meanMm: z.number(),
        maxMm: z.number(),
        coveredMm2: z.number(),
        rmsRadiusMm: z.number(),
      }),
    ),
    seenShares: z.record(z.string(), z.number()),
  }),
  compute: (input) => runFilm(input),
});
