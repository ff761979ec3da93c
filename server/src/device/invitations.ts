import { randomInt } from 'node:crypto';

/** Without letters and digits that look alike. */
const ALPHABET = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789';
const LENGTH = 8;
const VALID_MS = 5 * 60_000;
/** So many wrong codes, and every open invitation is void. */
const MOST_WRONG = 10;

export interface Invitation {
  readonly code: string;
  readonly until: Date;
  readonly keepDays: number;
}

/** Codes that let one device in each, once, for some minutes. They live as long as the server runs. */
export interface Invitations {
  make(keepDays: number): Invitation;
  /** Uses a code up; undefined when it is wrong, used or too old. */
  take(code: string): Invitation | undefined;
}

export function openInvitations(now: () => Date = () => new Date()): Invitations {
  let open: Invitation[] = [];
  let wrong = 0;
  const isValid = ({ until }: Invitation) => until > now();
  return {
    make(keepDays) {
      const code = Array.from({ length: LENGTH }, () => ALPHABET[randomInt(ALPHABET.length)]).join('');
      const made = { code, keepDays, until: new Date(now().getTime() + VALID_MS) };
      open = [...open.filter(isValid), made];
      return made;
    },
    take(given) {
      const code = given.toUpperCase().replace(/[^A-Z0-9]/g, '');
      const found = open.find((each) => each.code === code && isValid(each));
      if (!found) {
        wrong += 1;
        if (wrong >= MOST_WRONG) {
          open = [];
          wrong = 0;
        }
        return undefined;
      }
      open = open.filter((each) => each !== found);
      wrong = 0;
      return found;
    },
  };
}
