import type { DrillRun, DrillRunCreate } from '@icy-ribbon/contract';
import { api } from '@icy-ribbon/contract/addresses';
import { dueOf, type DrillName, type Due } from '@icy-ribbon/core/drill/schedule';
import { eyeOf, type Eye } from '@icy-ribbon/core/thickness/reading';
import { defineStore } from 'pinia';
import { computed } from 'vue';
import { useRecords } from './records.ts';

/** An eye changes with practice: so many of the last answers count. */
const COUNTS = 80;
/** Fewer answers than this say nothing of an eye yet. */
const TELLING = 8;

/** Drills that were played, the newest first; and what they say of the artist's eye. */
export const useDrills = defineStore('drills', () => {
  const records = useRecords<DrillRun, Omit<DrillRunCreate, 'id'>>(api.drills);
  const { items } = records;

  /** Runs of one drill, the oldest first. */
  const runsOf = (drill: DrillName): DrillRun[] =>
    items.value.filter((each) => each.drill === drill).reverse();

  const dueFor = (drill: DrillName): Due =>
    dueOf(
      runsOf(drill).map(({ createdAt, score }) => ({ at: createdAt, score })),
      new Date().toISOString(),
    );

  const named = computed(() =>
    items.value
      .filter(({ drill }) => drill === 'mound')
      .flatMap(({ answers }) => answers.map(({ shown, said }) => ({ shownPaS: shown, saidPaS: said })))
      .slice(0, COUNTS),
  );

  /** How this artist's words for thickness lie; null while too few were named. */
  const eye = computed((): Eye | null => (named.value.length < TELLING ? null : eyeOf(named.value)));

  return { ...records, eye, runsOf, dueFor };
});
