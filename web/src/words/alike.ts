import type { Finding, FindingCode } from '@icy-ribbon/core/piece/check';
import { namesListed } from './general.ts';

/** Findings that say the same of several cups, as one sentence with their names. */
const SENTENCES: Readonly<Partial<Record<FindingCode, (names: string) => string>>> = {
  short: (names) => `${names} are not there yet, or not enough of them.`,
  untested: (names) => `${names} were not tested today.`,
  fresh: (names) => `${names} are fresh: their bubbles leave pinholes.`,
  'weak-film': (names) => `${names} dry to a weak film: stir in a squirt of binder-rich medium.`,
};

export interface AlikeFindings {
  /** All of them, in their order. */
  readonly findings: readonly Finding[];
  /** What they say together; left out where one stands alone. */
  readonly words?: string;
}

const nameOf = ({ facts }: Finding): string => ('name' in facts ? String(facts.name) : '');

/** Findings as rows: those that say the same of several cups stand together where the first of them stood. */
export function alikeRows(findings: readonly Finding[]): AlikeFindings[] {
  const done = new Set<Finding>();
  return findings.flatMap((finding): AlikeFindings[] => {
    if (done.has(finding)) return [];
    const sentence = SENTENCES[finding.code];
    const alike = sentence
      ? findings.filter(({ code, level }) => code === finding.code && level === finding.level)
      : [finding];
    alike.forEach((each) => done.add(each));
    if (!sentence || alike.length === 1) return [{ findings: alike }];
    return [{ findings: alike, words: sentence(namesListed(alike.map(nameOf))) }];
  });
}
