import { InputError } from '../../base/error/index.ts';
import type { Corners, PhotoPixels } from '../photo.ts';
import { rectify } from '../rectify.ts';
import { coatOf, laidFace } from '../coat/index.ts';
import { dotsOn, type Dot } from './dots.ts';
import { givenTo } from './given.ts';
import { trailFrom, type Trail } from './trail.ts';

export interface RaceInput {
  /** The card's corners in the photo, pixels: top left, top right, bottom right, bottom left; the dots stood at its top. */
  readonly corners: Corners;
  readonly widthMm: number;
  readonly heightMm: number;
  /** The line on which the dots stood, from the card's top edge. */
  readonly startLineMm: number;
  /** Cups that were raced, by the color of their wet paint. */
  readonly lanes: readonly { readonly key: string; readonly hex: string }[];
}

/** A lane as it was measured. */
export interface RacedLane extends Omit<Trail, 'rows'> {
  readonly key: string;
}

/** Why a picture tells less than it should. */
export const RACE_WARNINGS = [
  'not-found',
  'more',
  'alike',
  'glare',
  'cut',
  'touch',
  'short',
  'soft',
] as const;

export interface RaceWarning {
  readonly code: (typeof RACE_WARNINGS)[number];
  readonly message: string;
  /** The lane it is about, by its key. */
  readonly lane?: string;
}

export interface MeasuredRace {
  /** In the order they were given; what was not found is missing. */
  readonly lanes: readonly RacedLane[];
  readonly warnings: readonly RaceWarning[];
}

/** Trails shorter than so many of their widths tell little of how thick a paint is. */
const SHORT = 1.5;
/** Fewer pixels of the photo to a millimeter than this read ends too coarsely. */
const SOFT_PX = 2;
/** Finer than this nothing is read. */
const MOST_PX_PER_MM = 5;
/** More dots than this are a spotted card. */
const MOST_DOTS = 8;

/**
 * Measures a tilt race on one picture of its card, after the card was laid flat.
 *
 * Law: the card is seen straight from above by its corners; every color is taken as a share of the bare coat's light at its place; each lane starts at a dot of
 * its cup's color on the start line, and is as long as the way down the card from that line to its tip. Highlights are crossed, splashes and drips that ran on
 * alone left out.
 *
 * @throws InputError (field "corners", "startLineMm" or "lanes") with what to change
 */
export function measureRace(photo: PhotoPixels, input: RaceInput): MeasuredRace {
  const { lanes, corners, widthMm, heightMm, startLineMm } = input;
  if (lanes.length < 1 || lanes.length > 6) throw new InputError('lanes', 'A card has one to six lanes.');
  if (!(startLineMm > 0 && startLineMm < 0.8 * heightMm)) {
    throw new InputError('startLineMm', 'The start line lies on the card, below its top edge.');
  }
  const face = rectify(photo, { corners, widthMm, heightMm }, MOST_PX_PER_MM);
  const card = laidFace(face, coatOf(face));
  const dots = dotsOn(card, startLineMm);
  if (dots.length === 0 || dots.length > MOST_DOTS) {
    throw new InputError(
      'lanes',
      dots.length === 0
        ? 'No paint can be told from the card at its start line. Take a card of another color than the paints, in even light, and see that the start line is where it was.'
        : 'The card is too spotted at its start line to tell the lanes. Wipe it between races, and take it in even light.',
    );
  }
  const { dots: own, isUnsure } = givenTo(lanes, dots, card.coatLight);
  const trails = lanes.flatMap(({ key }, at) =>
    own[at] ? [{ key, ...trailFrom(card, own[at], startLineMm) }] : [],
  );
  return {
    lanes: trails.map(({ rows, ...lane }) => (void rows, lane)),
    warnings: [
      ...missing(lanes, own),
      ...(dots.length > lanes.length
        ? [warning('more', 'There is more paint at the start line than lanes: see which were taken.')]
        : []),
      ...(isUnsure && lanes.length > 1
        ? [
            warning(
              'alike',
              'Some colors look alike: see whether each lane has its own cup, and type what is wrong.',
            ),
          ]
        : []),
      ...trails.flatMap((trail) => ofTrail(trail)),
      ...touching(trails),
      ...(face.photoPxPerMm < SOFT_PX
        ? [warning('soft', 'The card is small in this picture: go closer for surer lengths.')]
        : []),
    ],
  };
}

const warning = (code: RaceWarning['code'], message: string, lane?: string): RaceWarning => ({
  code,
  message,
  ...(lane !== undefined && { lane }),
});

const missing = (lanes: RaceInput['lanes'], own: readonly (Dot | undefined)[]): RaceWarning[] =>
  lanes.flatMap(({ key }, at) =>
    own[at]
      ? []
      : [
          warning(
            'not-found',
            'This lane cannot be told from the card. Take a card of another color than the paint, in even light, or type how far it ran.',
            key,
          ),
        ],
  );

function ofTrail({ key, isGlared, isCut, lengthMm, widthMm }: RacedLane): RaceWarning[] {
  const found: RaceWarning[] = [];
  if (isGlared) {
    found.push(
      warning('glare', 'Light shines back from the tip: move the lamp and take it again, or type it.', key),
    );
  }
  if (isCut) {
    found.push(warning('cut', 'It runs into the edge of the card and may have run on: stop it sooner.', key));
  }
  if (lengthMm < SHORT * widthMm) {
    found.push(warning('short', 'It is hardly longer than wide: let it run longer.', key));
  }
  return found;
}

/** Lanes that ran into each other. */
function touching(trails: readonly (Pick<Trail, 'rows'> & { readonly key: string })[]): RaceWarning[] {
  return trails.flatMap(({ key, rows }, at) =>
    trails.slice(0, at).some((other) =>
      rows.some(([left, right], row) => {
        const beside = other.rows[row];
        return beside !== undefined && left <= beside[1] && beside[0] <= right;
      }),
    )
      ? [warning('touch', 'It ran into its neighbor: its length counts for both.', key)]
      : [],
  );
}
