import { z } from 'zod';
import { idSchema, nameSchema, timestampSchema } from './common.ts';
import { RANKS } from './endpoint.ts';

/** For how long a device may stay signed in, days. */
export const KEEP_DAYS = [1, 30, 365] as const;

/** What a device may do: at the table it weighs, reads, pours, takes photos and rates; one of the studio does all but what concerns the machine. */
export const DEVICE_KINDS = ['table', 'studio'] as const;

/** A device that joined by a code. */
export const deviceSchema = z.object({
  id: idSchema,
  name: nameSchema,
  kind: z.enum(DEVICE_KINDS),
  joinedAt: timestampSchema,
  /** When it last asked for anything. */
  seenAt: timestampSchema,
  /** Signed in until then. */
  until: timestampSchema,
  isThis: z.boolean(),
});

/** Where other devices on the network find the studio. */
export const doorSchema = z.object({
  isOpen: z.boolean(),
  /** It was opened by how the server was started, and is closed in the same way. */
  isGiven: z.boolean(),
  /** Whether what goes over the network is encrypted. */
  isSecure: z.boolean(),
  /** Of the certificate, SHA-256, to be compared with what the phone shows. */
  fingerprint: z.string().nullable(),
  addresses: z.array(z.object({ network: z.string(), url: z.url() })),
});

export const devicesSchema = z.object({
  door: doorSchema,
  devices: z.array(deviceSchema),
  /** Whether this page is at the machine that the studio lies on. */
  isHome: z.boolean(),
  /** What this page may do. */
  rank: z.enum(RANKS),
});

export const doorPutSchema = z.object({
  isOpen: z.boolean('Say whether other devices may come in.'),
  isSecure: z.boolean('Say whether it is to be encrypted.'),
});

export const invitationCreateSchema = z.object({
  keepDays: z.union(
    KEEP_DAYS.map((days) => z.literal(days)),
    'Choose how long it stays signed in.',
  ),
  /** Left out: at the table for a day, of the studio for longer. */
  kind: z.enum(DEVICE_KINDS).optional(),
});

/** Lets one device in, once. */
export const invitationSchema = z.object({
  code: z.string(),
  until: timestampSchema,
  /** An address for each network, with the code in it. */
  urls: z.array(z.url()),
});

/** What is being done with a piece, for the other devices. */
export const DOINGS = ['weighing', 'reading', 'planning', 'pouring'] as const;
export const doingSchema = z.object({
  tab: idSchema,
  pieceId: idSchema.nullable(),
  doing: z.enum(DOINGS).nullable(),
  cupId: idSchema.nullable(),
});

/** Everyone at the studio who does something, whoever is told included. */
export const othersSchema = z.array(doingSchema.extend({ device: z.string() }));

/** What is told to every page as it happens. */
export const liveSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('changed'), tab: z.string().nullable(), pieceId: z.string().nullable() }),
  z.object({ kind: z.literal('others'), others: othersSchema }),
  /** Until when this device is signed in. */
  z.object({ kind: z.literal('sign-in'), until: timestampSchema }),
  /** First of all: which pages the server gives now, by the script that starts them. */
  z.object({ kind: z.literal('pages'), script: z.string() }),
]);

export type DeviceKind = (typeof DEVICE_KINDS)[number];
export type Device = z.output<typeof deviceSchema>;
export type Door = z.output<typeof doorSchema>;
export type Devices = z.output<typeof devicesSchema>;
export type Invitation = z.output<typeof invitationSchema>;
export type Doing = z.output<typeof doingSchema>;
export type Other = z.output<typeof othersSchema>[number];
export type Live = z.output<typeof liveSchema>;
