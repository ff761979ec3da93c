import { createHash, randomBytes, randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { z } from 'zod';
import { writeSecret } from '../folder/writeWhole.ts';

const DAY_MS = 86_400_000;
/** When a device was last seen is written down at most so often. */
const SEEN_MS = 60_000;

const keptSchema = z.object({
  door: z.object({ isOpen: z.boolean(), isSecure: z.boolean() }),
  devices: z.array(
    z.object({
      id: z.string(),
      name: z.string(),
      /** SHA-256 of its cookie: who reads this file cannot sign in with it. */
      tokenHash: z.string(),
      joinedAt: z.string(),
      seenAt: z.string(),
      until: z.string(),
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
  join(name: string, keepDays: number): Promise<{ token: string; device: KeptDevice }>;
  /** Whose cookie it is. */
  find(token: string): KeptDevice | undefined;
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
  const live = ({ until }: KeptDevice) => Date.parse(until) > now().getTime();
  return {
    get door() {
      return kept.door;
    },
    setDoor(door) {
      kept = { ...kept, door };
      return save();
    },
    list: () => kept.devices.filter(live).reverse(),
    async join(name, keepDays) {
      const token = randomBytes(32).toString('base64url');
      const at = now().toISOString();
      const until = new Date(now().getTime() + keepDays * DAY_MS).toISOString();
      const device = {
        id: randomUUID(),
        ...{ name, tokenHash: hashOf(token), joinedAt: at, seenAt: at, until },
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
    return { door: { isOpen: false, isSecure: true }, devices: [] };
  }
}
