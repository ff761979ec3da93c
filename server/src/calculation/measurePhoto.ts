import { CELL_RULES, measurePhoto, WARNING_CODES } from '@icy-ribbon/core/picture';
import { z } from 'zod';
import { corners, millimeters, path, pixelsAt, readPicture } from './pictureFile.ts';

const input = z.strictObject({
  path,
  corners: corners('the support'),
  widthMm: millimeters('width'),
  heightMm: millimeters('height'),
  shape: z.enum(['rectangle', 'round']).optional(),
  palette: z
    .array(
      z.strictObject({
        name: z.string().min(1, 'Name each color.'),
        hex: z.string().regex(/^#[0-9a-fA-F]{6}$/, 'Give each color as #rrggbb.'),
      }),
    )
    .min(2, 'Give at least two colors.'),
  base: z.string('Say which color is the base.'),
  activator: z.string().nullish(),
  grayPatchMm: z.tuple([z.number(), z.number(), z.number(), z.number()]).nullish(),
  minCellMm: z.number().positive('The smallest cell is above 0 mm.').nullish(),
});

const share = z.number();
const output = z.object({
  shares: z.record(z.string(), share),
  cells: z.object({
    count: z.int(),
    medianMm: z.number(),
    p10Mm: z.number(),
    p90Mm: z.number(),
    perCm2: z.number(),
  }),
  lacing: z.object({ areaShare: share, widthMm: z.number() }),
  negativeSpace: share,
  mud: share,
  petals: z.object({ count: z.int().nullable(), reachMm: z.number(), symmetry: z.number() }),
  warnings: z.array(z.object({ code: z.enum(WARNING_CODES), message: z.string() })),
});

export type MeasurePhotoOutput = z.output<typeof output>;

/** `measure-photo`: it reads a file, so it is found on the bench and not in the API. */
export const measurePhotoCalculation = {
  name: 'measure-photo',
  title: 'Shares of the colors, cells, lacing, mud and petals in a photo of a poured piece',
  law: 'face = homography(corners); light = robust quadratic in ln gain; label = nearest color, edges unmixed in linear light; cells = patches by area, circularity, ellipse and ring',
  source:
    'common practice in image measurement; OKLab by Ottosson 2020, distances by Felzenszwalb & Huttenlocher 2012, thinning by Zhang & Suen 1984 (all from memory)',
  range: 'sharp photos with little glare; count from about 5 pixels a cell, sizes from 8, net strokes from 4',
  assumes: 'a flat face, paints of known color, light that changes slowly across it',
  typical: `a cell is ${CELL_RULES.leastMm} to ${CELL_RULES.mostMm} mm wide, circularity from ${CELL_RULES.circularity}, fills ${CELL_RULES.fill} of its ellipse`,
  example: '{"path", "corners", "widthMm", "heightMm", "palette", "base", "activator"}',
  input,
  output,
};

/**
 * Measures the photo in a file.
 *
 * @throws InputError naming the field, also when the file cannot be read
 */
export async function runMeasurePhoto(given: unknown): Promise<MeasurePhotoOutput> {
  const { path: file, activator, grayPatchMm, minCellMm, shape, ...rest } = readPicture(input, given);
  const measured = measurePhoto(await pixelsAt(file), {
    ...rest,
    shape: shape ?? 'rectangle',
    activator: activator ?? undefined,
    grayPatchMm: grayPatchMm ?? undefined,
    minCellMm: minCellMm ?? undefined,
  });
  return output.parse(measured);
}
