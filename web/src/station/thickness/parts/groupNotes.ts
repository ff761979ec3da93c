import type { BeforePourNote } from '@icy-ribbon/core/thickness/match';
import { noteWords } from '#words/beforePour.ts';
import { namesListed } from '#words/general.ts';
import type { MeasureWords } from '#words/measure.ts';

export interface GroupedNote {
  readonly words: string;
  readonly cupId: string;
  /** What to stir in, if that is what it needs. */
  readonly topUp: { readonly ingredientId: string; readonly mg: number } | null;
}

/** Notes that say the same of several cups become one; what asks for grams stays by itself. */
export function groupNotes(notes: readonly BeforePourNote[], say: MeasureWords): GroupedNote[] {
  const groups = new Map<string, [BeforePourNote, ...BeforePourNote[]]>();
  for (const note of notes) {
    const key = note.code === 'evaporated' ? `${note.cupId} ${note.code}` : noteWords(note, say);
    const group = groups.get(key);
    if (group) group.push(note);
    else groups.set(key, [note]);
  }
  return [...groups.values()].map((group) => {
    const [first] = group;
    return {
      words: `${namesListed(group.map(({ name }) => name))}: ${noteWords(first, say)}`,
      cupId: first.cupId,
      topUp:
        first.code === 'evaporated' ? { ingredientId: first.facts.waterId, mg: first.facts.lostMg } : null,
    };
  });
}
