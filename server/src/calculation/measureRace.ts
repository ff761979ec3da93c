import { measureRace, RACE_WARNINGS } from '@icy-ribbon/core/picture';
import { z } from 'zod';
import { corners, millimeters, path, pixelsAt, readPicture } from './pictureFile.ts';

const input = z.strictObject({
  path,
  corners: corners('the card'),
  widthMm: millimeters('width'),
  heightMm: millimeters('height'),
  startLineMm: millimeters('start line, from the top edge of the card,'),
  lanes: z
    .array(
      z.strictObject({
        name: z.string().min(1, 'Name each lane.'),
        hex: z.string().regex(/^#[0-9a-fA-F]{6}$/, 'Give each color as #rrggbb.'),
      }),
    )
    .min(1, 'Give at least one lane.')
    .max(6, 'A card has at most six lanes.')
    .refine((lanes) => new Set(lanes.map(({ name }) => name)).size === lanes.length, 'Name each lane once.'),
});

const output = z.object({
  lanes: z.array(z.object({ name: z.string(), lengthMm: z.number(), sdMm: z.number() })),
  warnings: z.array(
    z.object({ code: z.enum(RACE_WARNINGS), message: z.string(), lane: z.string().optional() }),
  ),
});

export type MeasureRaceOutput = z.output<typeof output>;

/** `measure-race`: it reads a file, so it is found on the bench and not in the API. */
export const measureRaceCalculation = {
  name: 'measure-race',
  title: 'How far each lane of a tilt race ran, from one picture of its card',
  law: 'card = homography(corners); color = share of the bare coat’s light; a lane starts at the dot of its color and is as long as the way down the card from the start line to its tip',
  source: 'common practice in image measurement, no published source',
  range: 'sharp pictures from 2 pixels a millimeter on; tips without glare; lanes that do not touch',
  assumes: 'a flat coated card that is bare for the most part, dots on the start line',
  typical:
    'within 3 % or 0.6 mm; the spread of a ratio is three times that of its lengths, which add in squares',
  example: '{"path", "corners", "widthMm", "heightMm", "startLineMm", "lanes"}',
  input,
  output,
};

/**
 * Measures the picture of a card in a file.
 *
 * @throws InputError naming the field, also when the file cannot be read
 */
export async function runMeasureRace(given: unknown): Promise<MeasureRaceOutput> {
  const { lanes, path: file, ...card } = readPicture(input, given);
  const measured = measureRace(await pixelsAt(file), {
    ...card,
    lanes: lanes.map(({ name, hex }) => ({ key: name, hex })),
  });
  return {
    lanes: measured.lanes.map(({ key, lengthMm, sdMm }) => ({ name: key, lengthMm, sdMm })),
    warnings: [...measured.warnings],
  };
}
