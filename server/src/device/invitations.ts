import { randomInt } from 'node:crypto';
import type { DeviceKind } from '@icy-ribbon/contract';

/** Without letters and digits that look alike. */
const ALPHABET = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789';
const LENGTH = 8;
const VALID_MS = 5 * 60_000;
/** So many wrong tries from an address, and it waits for a new code. */
const MOST_OF_ADDRESS = 10;
/** So many while a code is open, from wherever, and it is void. */
const MOST_OF_CODE = 50;

export interface Invitation {
  readonly code: string;
  readonly until: Date;
  readonly keepDays: number;
  readonly kind: DeviceKind;
}

/** Codes that let one device in each, once, for some minutes. They live as long as the server runs. */
export interface Invitations {
  /** Makes one; with it all wrong tries are forgotten. */
  make(keepDays: number, kind: DeviceKind): Invitation;
  /** Uses a code up; undefined when it is wrong, used or too old, "wait" when this address was wrong too often. */
  take(code: string, address: string): Invitation | 'wait' | undefined;
}

export function openInvitations(now: () => Date = () => new Date()): Invitations {
  let open: (Invitation & { wrong: number })[] = [];
  let wrongFrom = new Map<string, number>();
  return {
    make(keepDays, kind) {
      const code = Array.from({ length: LENGTH }, () => ALPHABET[randomInt(ALPHABET.length)]).join('');
      const made = { code, keepDays, kind, until: new Date(now().getTime() + VALID_MS), wrong: 0 };
      open = [...open.filter(({ until }) => until > now()), made];
      wrongFrom = new Map();
      return made;
    },
    take(given, address) {
      if ((wrongFrom.get(address) ?? 0) >= MOST_OF_ADDRESS) return 'wait';
      open = open.filter(({ until }) => until > now());
      const code = given.toUpperCase().replace(/[^A-Z0-9]/g, '');
      const found = open.find((each) => each.code === code);
      if (!found) {
        wrongFrom.set(address, (wrongFrom.get(address) ?? 0) + 1);
        for (const each of open) each.wrong += 1;
        open = open.filter(({ wrong }) => wrong < MOST_OF_CODE);
        return undefined;
      }
      open = open.filter((each) => each !== found);
      wrongFrom.delete(address);
      return found;
    },
  };
}
