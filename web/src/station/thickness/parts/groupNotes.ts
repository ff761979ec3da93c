import type { BeforePourNote } from '@icy-ribbon/core/thickness/match';

export interface GroupedNote {
  readonly words: string;
  readonly cupId: string;
  readonly topUp: BeforePourNote['topUp'];
}

/** Notes that say the same of several cups become one; what asks for grams stays by itself. */
export function groupNotes(notes: readonly BeforePourNote[]): GroupedNote[] {
  const groups = new Map<string, BeforePourNote[]>();
  for (const note of notes) {
    const key = note.topUp ? `${note.cupId} ${note.kind}` : `${note.kind} ${note.says}`;
    groups.set(key, [...(groups.get(key) ?? []), note]);
  }
  return [...groups.values()].map((group) => {
    const [first] = group as [BeforePourNote];
    const names = group.map((each) => each.name);
    const subject =
      names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;
    return { words: `${subject}: ${first.says}`, cupId: first.cupId, topUp: first.topUp };
  });
}
