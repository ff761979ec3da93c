import { lookOf, pictureOf } from '../../flow/look/index.ts';
import { paletteOfCups, type MeasureInput, type PhotoPixels } from '../../picture/index.ts';
import { castOf, frameNow, type Rehearsal } from '../../piece/rehearse/index.ts';

/** Pixels across the face of the picture that a rehearsal is measured on. */
const ACROSS_PX = 1100;

/**
 * The picture of a rehearsal and what is looked for in it: the same measuring as of a photo, on a photo without perspective and glare.
 */
export function rehearsalPhoto(
  rehearsal: Rehearsal,
  acrossPx = ACROSS_PX,
): { photo: PhotoPixels; input: MeasureInput } {
  const { scene, unknowns, film } = rehearsal;
  const { grid } = film.kernel.fields;
  const look = lookOf(frameNow(rehearsal), castOf(scene, unknowns), grid.rim.inside);
  const { width, height, rgb } = pictureOf(look, acrossPx, { isGlossy: false });
  const used = scene.layers.filter(
    ({ cupId }, index) => scene.layers.findIndex((layer) => layer.cupId === cupId) === index,
  );
  const { palette, base, activator } = paletteOfCups(
    used.map(({ cupId, name, role, colorHex }) => ({ id: cupId, name, role, colorHex })),
  );
  return {
    photo: { widthPx: width, heightPx: height, channels: 3, data: new Uint8Array(rgb.buffer) },
    input: {
      corners: [
        [0, 0],
        [width, 0],
        [width, height],
        [0, height],
      ],
      widthMm: scene.support.widthMm,
      heightMm: scene.support.heightMm,
      shape: scene.support.shape,
      palette: palette.map(({ name, hex }) => ({ name, hex })),
      base,
      activator: activator ?? undefined,
    },
  };
}
