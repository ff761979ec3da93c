import { InputError } from '@icy-ribbon/core/base/error';
import type { PhotoPixels } from '@icy-ribbon/core/picture';
import { existsSync } from 'node:fs';
import { z } from 'zod';
import { decodePhoto } from '../photo/decode.ts';

/** What calculations that read a picture file are given alike. */

const point = z.tuple([z.number(), z.number()], 'Give each corner as [x, y] in pixels of the photo.');

export const path = z
  .string('Give the path of a JPEG or PNG file.')
  .min(1, 'Give the path of a JPEG or PNG file.');

export const corners = (of: string) =>
  z.tuple(
    [point, point, point, point],
    `Give four corners of ${of}: top left, top right, bottom right, bottom left.`,
  );

export const millimeters = (what: string) =>
  z.number(`Give the ${what} in millimeters.`).positive(`Give the ${what} above 0.`).max(5000);

/** @throws InputError naming the first field that is not as it should be */
export function readPicture<Schema extends z.ZodType>(schema: Schema, given: unknown): z.output<Schema> {
  const checked = schema.safeParse(given);
  if (checked.success) return checked.data;
  const issue = checked.error.issues[0];
  throw new InputError(issue?.path.join('.') || '(input)', issue?.message ?? 'The input is not valid.');
}

/** @throws InputError (field "path") when there is no picture there */
export async function pixelsAt(file: string): Promise<PhotoPixels> {
  if (!existsSync(file)) throw new InputError('path', `There is no file "${file}".`);
  return decodePhoto(file).catch(() => {
    throw new InputError('path', 'This is no JPEG or PNG picture, or it is damaged.');
  });
}
