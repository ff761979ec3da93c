import { createHash, randomBytes, randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { DEVICE_KINDS, type DeviceKind } from '@icy-ribbon/contract';
import { z } from 'zod';
import { writeSecret } from '../folder/writeWhole.ts';

const DAY_MS = 86_400_000;
/** When a device was last seen is written down at most so often. */
const SEEN_MS = 60_000;

/** A sign-in that ends while its device is in use at the table goes on for as long as that, but no longer than this. */
const GRACE_MS = 3 * 3_600_000;
const IN_USE_MS = 3_600_000;

const keptSchema = z.object({
  /** What a calendar shows to read its dates: it can carry no cookie. */
  calendarToken: z.string().nullable().default(null),
  door: z.object({ isOpen: z.boolean(), isSecure: z.boolean() }),
  devices: z.array(
    z.object({
      id: z.string(),
      name: z.string(),
      /** Devices of older versions could do everything. */
      kind: z.enum(DEVICE_KINDS).default('studio'),
      /** SHA-256 of its cookie: who reads this file cannot sign in with it. */
      tokenHash: z.string(),
      joinedAt: z.string(),
      seenAt: z.string(),
      until: z.string(),
      /** When it last weighed, read or poured. */
      usedAt: z.string().nullable().default(null),
    }),
  ),
});
type Kept = z.output<typeof keptSchema>;
export type KeptDevice = Kept['devices'][number];

/** Devices that joined the studio, kept in a file of their own. */
export interface Devices {
  readonly door: Kept['door'];
  setDoor(door: Kept['door']): Promise<void>;
  /** Those whose time is not over, the newest first. */
  list(): KeptDevice[];
  /** Lets a device in; gives what its cookie is to hold. */
  join(name: string, keepDays: number, kind?: DeviceKind): Promise<{ token: string; device: KeptDevice }>;
  /** Whose cookie it is. */
  find(token: string): KeptDevice | undefined;
  /** Whether a device is still signed in. */
  isIn(id: string): boolean;
  /** Until when it is, as things stand now: what is in use at the table is not ended under it. */
  endOf(device: KeptDevice): Date;
  /** It weighs, reads or pours. */
  noteUse(id: string): void;
  readonly calendarToken: string | null;
  renewCalendarToken(): Promise<string>;
  /** Whether there was such a device. */
  signOut(id: string): Promise<boolean>;
}

const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');

/** @param path of the file; one that cannot be read counts as none: then nobody is signed in */
export function openDevices(path: string, now: () => Date = () => new Date()): Devices {
  let kept = read(path);
  let writing: Promise<unknown> = Promise.resolve();
  const save = (): Promise<void> => {
    const text = JSON.stringify(kept);
    const next = writing.then(() => writeSecret(path, text));
    writing = next.catch(() => undefined);
    return next;
  };
  const endOf = ({ until, usedAt }: KeptDevice): Date => {
    const end = Date.parse(until);
    if (usedAt === null) return new Date(end);
    return new Date(Math.max(end, Math.min(Date.parse(usedAt) + IN_USE_MS, end + GRACE_MS)));
  };
  const live = (device: KeptDevice) => endOf(device) > now();
  return {
    get door() {
      return kept.door;
    },
    async setDoor(door) {
      const before = kept.door;
      kept = { ...kept, door };
      try {
        await save();
      } catch (error) {
        kept = { ...kept, door: before };
        throw error;
      }
    },
    list: () => kept.devices.filter(live).reverse(),
    isIn: (id) => kept.devices.some((device) => device.id === id && live(device)),
    endOf,
    noteUse(id) {
      const device = kept.devices.find((each) => each.id === id);
      if (!device) return;
      const before = device.usedAt;
      if (before !== null && now().getTime() - Date.parse(before) <= SEEN_MS) return;
      device.usedAt = now().toISOString();
      void save().catch(() => undefined);
    },
    get calendarToken() {
      return kept.calendarToken;
    },
    async renewCalendarToken() {
      const calendarToken = randomBytes(24).toString('base64url');
      kept = { ...kept, calendarToken };
      await save();
      return calendarToken;
    },
    async join(name, keepDays, kind = 'studio') {
      const token = randomBytes(32).toString('base64url');
      const at = now().toISOString();
      const until = new Date(now().getTime() + keepDays * DAY_MS).toISOString();
      const device = {
        id: randomUUID(),
        ...{ name, kind, tokenHash: hashOf(token), joinedAt: at, seenAt: at, until, usedAt: null },
      };
      kept = { ...kept, devices: [...kept.devices.filter(live), device] };
      await save();
      return { token, device };
    },
    find(token) {
      const hash = hashOf(token);
      const device = kept.devices.find(({ tokenHash }) => tokenHash === hash);
      if (!device || !live(device)) return undefined;
      if (now().getTime() - Date.parse(device.seenAt) > SEEN_MS) {
        device.seenAt = now().toISOString();
        void save().catch(() => undefined);
      }
      return device;
    },
    async signOut(id) {
      const before = kept.devices.length;
      kept = { ...kept, devices: kept.devices.filter((device) => device.id !== id) };
      await save();
      return kept.devices.length < before;
    },
  };
}

function read(path: string): Kept {
  try {
    return keptSchema.parse(JSON.parse(readFileSync(path, 'utf8')));
  } catch {
    return keptSchema.parse({ door: { isOpen: false, isSecure: true }, devices: [] });
  }
}
