import { stageOf } from '@icy-ribbon/core/paint/stage';
import {
  beforePour,
  contrast,
  matchSet,
  nextRace,
  type NextAddition,
  type RaceProposal,
} from '@icy-ribbon/core/thickness/match';
import { useNow } from '@vueuse/core';
import dayjs from 'dayjs';
import { computed } from 'vue';
import { usePiece, type Cup } from '#store/piece/piece.ts';
import { useUnits } from '#store/units.ts';
import { contrastWords } from '#words/contrast.ts';
import { ageWords, namesListed } from '#words/general.ts';
import { additionWords, limitWords, paS, spreadWords, sureWords } from '#words/thickness.ts';
import { useMeasures } from '#words/useMeasures.ts';
import { groupNotes } from './groupNotes.ts';
import { matchCupOf } from '#drawing/matchCup.ts';

/** Something can be stirred in now. */
export const isOpen = (addition: NextAddition): addition is Extract<NextAddition, { step: unknown }> =>
  addition.kind === 'thin' || addition.kind === 'thicken';

const hasThinner = ({ mix }: Cup): boolean =>
  mix.ingredients.some(({ role }) => role === 'water' || role === 'thinner');

/** The race that would tell most, in words. */
export function raceWords(race: RaceProposal, cups: readonly Cup[]): string {
  const names = cups.filter(({ mix }) => race.cupIds.includes(mix.id)).map(({ mix }) => mix.name);
  const reference = race.withReference ? ' with glycerine on one lane' : '';
  return `Race ${namesListed(names)}${reference}: that brings the least known difference from ${spreadWords(race.spreadLn)} to ${spreadWords(race.afterLn)}.`;
}

/** The cups of the open piece as a set: what to stir into each, how they go together, what is left to do. */
export function useSet() {
  const store = usePiece();
  const units = useUnits();
  const measures = useMeasures();
  const now = useNow({ interval: 30_000 });

  const technique = computed(() => store.piece?.technique ?? 'dutch');
  const cups = computed(() => store.paints.map(matchCupOf));
  const matched = computed(() => matchSet(store.belief, technique.value, cups.value, store.piece?.aims));
  const race = computed(() => nextRace(store.belief, technique.value, cups.value, store.piece?.aims));

  const show = (mg: number) => units.show('mass', mg, true);
  const rows = computed(() =>
    store.paints.map((cup) => {
      const { addition } = matched.value.cups.find((each) => each.id === cup.mix.id)!;
      const { viscosityPaS } = cup.state.properties;
      return {
        cup,
        addition,
        stage: stageOf(viscosityPaS).name,
        thickness: paS(viscosityPaS),
        spread: spreadWords(cup.state.spreadLn),
        tested: cup.state.lastReadAt ? ageWords(cup.state.lastReadAt) : 'never',
        words: additionWords(addition, show),
        sure: sureWords(addition, show),
        limit: isOpen(addition) && addition.limit ? limitWords(addition.limit, measures.value) : null,
        wantsWater: addition.kind === 'stuck' && !hasThinner(cup),
        isPace: matched.value.groups.some((group) => group.paceId === cup.mix.id),
      };
    }),
  );

  const summary = computed(() => {
    if (rows.value.length === 0) return '';
    if (!rows.value.some(({ addition }) => isOpen(addition))) {
      const stuck = rows.value.find(({ addition }) => addition.kind === 'stuck')?.cup.mix.name;
      if (stuck) return `${stuck} cannot get there yet.`;
      const toRead = rows.value.filter(({ addition }) => addition.kind === 'read');
      return toRead.length === 0
        ? 'Every cup is where it should be.'
        : `Race ${namesListed(toRead.map(({ cup }) => cup.mix.name))} first: too little is known of ${toRead.length === 1 ? 'it' : 'them'}.`;
    }
    const common = matched.value.groups.find((group) => group.targetPaS !== null);
    const pace = rows.value.find((row) => row.isPace)?.cup.mix.name;
    const grams = `${show(matched.value.addMg)} to stir in altogether`;
    if (!common?.targetPaS || !pace) return `${grams}.`;
    return `All to ${paS(common.targetPaS)}: ${grams}. ${pace} sets the pace.`;
  });

  const findings = computed(() =>
    contrast(
      technique.value,
      store.paints.map(({ mix, state }) => ({
        id: mix.id,
        name: mix.name,
        role: mix.role,
        viscosityPaS: state.properties.viscosityPaS,
        spreadLn: state.spreadLn,
      })),
      store.piece?.aims,
    ).map((finding) => ({ level: finding.level, ...contrastWords(finding) })),
  );

  const notes = computed(() => {
    const all = beforePour(
      store.paints.map(({ mix, state }) => ({
        id: mix.id,
        name: mix.name,
        mixed: state.phase === 'mixed',
        lid: mix.lid,
        restHours: mix.recipe.restHours,
        additions: mix.additions,
        movements: mix.movements,
        waterId: mix.ingredients.find(({ role }) => role === 'water')?.id ?? null,
        lastReadAt: state.lastReadAt,
      })),
      now.value.getTime(),
      dayjs(now.value).startOf('day').valueOf(),
    );
    return groupNotes(all, measures.value);
  });

  return { rows, summary, findings, notes, race, show };
}
