import type { CareEvent } from '@icy-ribbon/contract';
import { seededRandom, seededUuid } from '@icy-ribbon/core/base/random';
import { insertCare } from '../care/care.queries.ts';
import type { Db } from '../db/open.ts';
import { write } from '../db/write.ts';
import { EQUIPMENT } from '../equipment/equipment.ts';
import { DEMO_PLACES, DEMO_SHELVES, DEMO_TOUCH_DRY, demoCare } from './care.ts';

/** A lot of its own, so that the rest of the demo stays as it was. */
const SEED = 20_261_126;
const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
const SHOW_IN_DAYS = 24;
/** What nothing else is told of hangs as it is. */
const HANGS_AFTER_DAYS = 12;

/** Shelves, and what happened to the demo's pieces after their pours. */
export async function fillCare(db: Db, now: Date): Promise<void> {
  const random = seededRandom(SEED);
  const makeId = () => seededUuid(random);
  const ago = (days: number) => new Date(now.getTime() - days * DAY_MS).toISOString();
  const opensOn = new Date(now.getTime() + SHOW_IN_DAYS * DAY_MS).toISOString().slice(0, 10);
  await write(db, async (trx) => {
    const rows = await trx
      .selectFrom('piece')
      .leftJoin('pourFacts', 'pourFacts.pieceId', 'piece.id')
      .select(['piece.id', 'piece.name', 'pourFacts.pouredAt'])
      .execute();
    const ids = new Map(rows.map(({ id, name }) => [name, id]));
    const shelfIds: string[] = [];
    for (const shelf of DEMO_SHELVES) {
      const slots = shelf.slots.map((slot) => ({ ...slot }));
      shelfIds.push((await EQUIPMENT.create(trx, { ...shelf, slots, id: makeId() })).id);
    }
    const log = async (name: string, days: number, event: Pick<CareEvent, 'kind' | 'data'>) => {
      const pieceId = ids.get(name);
      if (pieceId) await insertCare(trx, pieceId, [{ id: makeId(), at: ago(days), ...event } as CareEvent]);
    };
    for (const [name, { shelf, slotId }] of Object.entries(DEMO_PLACES)) {
      await log(name, 0.5, { kind: 'place', data: { shelfId: shelfIds[shelf]!, slotId } });
    }
    for (const [name, days, kind, data] of demoCare(opensOn)) {
      await log(name, days, { kind, data } as Pick<CareEvent, 'kind' | 'data'>);
    }
    const told = new Set(demoCare(opensOn).map(([name]) => name));
    for (const { name, pouredAt } of rows) {
      const days = pouredAt === null ? 0 : (now.getTime() - Date.parse(pouredAt)) / DAY_MS;
      if (days < HANGS_AFTER_DAYS || told.has(name)) continue;
      await log(name, days - HANGS_AFTER_DAYS, { kind: 'decide', data: { what: 'hang', note: '' } });
    }
    for (const { id, name, pouredAt } of rows) {
      const hours = DEMO_TOUCH_DRY[name];
      if (hours === undefined || pouredAt === null) continue;
      const touchDryAt = new Date(Date.parse(pouredAt) + hours * HOUR_MS).toISOString();
      await trx.updateTable('piece').set({ touchDryAt }).where('id', '=', id).execute();
    }
  });
}
