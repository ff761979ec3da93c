import type { Mix, Reading } from '@icy-ribbon/contract';
import { cupState } from '@icy-ribbon/core/paint/mix';
import { gaussian, type Random } from '@icy-ribbon/core/base/random';
import { RACE_SD_LN, referenceProperties, REFERENCE_SD_LN } from '@icy-ribbon/core/thickness/reading';
import { stageOf } from '@icy-ribbon/core/paint/stage';
import { trueThickness } from './truth.ts';

const MOST_CUPS = 5;
/** Pa.s for each second on the studio's card. */
const CARD_PAS_PER_S = 0.11;
const WORDS_ERROR_LN = 0.25;

/** How the studio tested a set: every mound in words, then one race with glycerine on the last lane. */
export function testCups(
  mixes: readonly Mix[],
  room: { readonly temperatureC: number },
  clock: (minutes: number) => string,
  makeId: () => string,
  random: Random,
): Reading[] {
  const raceId = makeId();
  const { temperatureC } = room;
  const liquid = { kind: 'glycerine', massFraction: 1, temperatureC } as const;
  const reading = (mix: Mix | null, measure: Reading['measure'], at: string): Reading => ({
    id: makeId(),
    cupId: mix?.id ?? null,
    raceId: measure.kind === 'race' ? raceId : null,
    at,
    temperatureC,
    contents: mix ? contentsOf(mix) : [],
    measure,
    struck: false,
  });
  const seconds = (paS: number) =>
    Math.round(((10 * paS) / CARD_PAS_PER_S) * Math.exp((RACE_SD_LN / Math.SQRT2) * gaussian(random))) / 10;
  const lane = (value: number, reference: typeof liquid | null): Reading['measure'] => ({
    kind: 'race',
    by: 'time',
    value,
    liquid: reference && {
      name: referenceProperties(reference).name,
      viscosityPaS: referenceProperties(reference).viscosityPaS,
      sdLn: REFERENCE_SD_LN,
    },
    card: null,
  });
  const words = mixes.map((mix) => {
    const seen = trueThickness(mix) * Math.exp(WORDS_ERROR_LN * gaussian(random));
    return reading(mix, { kind: 'words', stage: stageOf(seen).name }, clock(0.5));
  });
  const at = clock(4);
  const raced = mixes
    .slice(0, MOST_CUPS)
    .map((mix) => reading(mix, lane(seconds(trueThickness(mix)), null), at));
  return [
    ...words,
    ...raced,
    reading(null, lane(seconds(referenceProperties(liquid).viscosityPaS), liquid), at),
  ];
}

function contentsOf(mix: Mix): Reading['contents'] {
  const { shownIngredientMg } = cupState(mix);
  return mix.ingredients.map((each, at) => ({ ingredientId: each.id, mg: shownIngredientMg[at] ?? 0 }));
}
