import { roundIsRound, supportShape } from '@icy-ribbon/core/piece/support';
import { z } from 'zod';
import { idSchema, recordFields, versionSchema } from './common.ts';

export const supportSchema = z.object({ ...recordFields, ...supportShape });

export const supportCreateSchema = roundIsRound(z.object({ id: idSchema.optional(), ...supportShape }));

export const supportUpdateSchema = roundIsRound(z.object({ version: versionSchema, ...supportShape }));

/** The support as it was when the piece was started. */
export const supportSnapshotSchema = z.object({ supportId: idSchema, ...supportShape });

export type Support = z.output<typeof supportSchema>;
export type SupportCreate = z.output<typeof supportCreateSchema>;
export type SupportUpdate = z.output<typeof supportUpdateSchema>;
export type SupportSnapshot = z.output<typeof supportSnapshotSchema>;
