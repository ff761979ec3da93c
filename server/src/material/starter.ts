import type { MaterialCreate, SupportCreate } from '@icy-ribbon/contract';
import type { Finish, MaterialKind, Pigment } from '@icy-ribbon/core/paint/material';
import type { Db } from '../db/open.ts';
import { write } from '../db/write.ts';
import { stockEquipment } from '../equipment/equipment.ts';
import { SUPPORTS } from '../support/supports.ts';
import { createMaterial } from './material.queries.ts';

/** Nobody has counted or priced it yet. */
export const UNCOUNTED = {
  dryColorHex: null,
  priceCents: null,
  packMg: null,
  stockMg: null,
  openedOn: null,
  canBuy: true,
  solids: null,
  waterLimit: null,
  tintingStrength: null,
} as const;

type PaintLine = readonly [name: string, hex: string, kind: MaterialKind, pigment: Pigment, finish?: Finish];

const PAINTS: readonly PaintLine[] = [
  ['White', '#f3f2ec', 'artist-tube', 'titanium-white'],
  ['Lamp black', '#1b1a1d', 'artist-tube', 'carbon-black'],
  ['Deep blue', '#1d3f86', 'artist-tube', 'organic'],
  ['Sea green', '#1f7f74', 'artist-tube', 'organic'],
  ['Warm red', '#b8322c', 'artist-tube', 'organic'],
  ['Ochre', '#c08a2e', 'artist-tube', 'earth'],
  ['Copper', '#a8623a', 'artist-tube', 'metallic', 'metallic'],
  ['Fluid white', '#f0efea', 'fluid', 'titanium-white'],
  ['Fluid teal', '#17656b', 'fluid', 'organic'],
  ['Fluid magenta', '#a2305f', 'fluid', 'organic'],
  ['Fluid gold', '#b8923f', 'fluid', 'metallic', 'metallic'],
  ['Wall white', '#f5f4ef', 'wall-paint', 'titanium-white'],
];

const MEDIA: readonly (readonly [name: string, hex: string, kind: MaterialKind])[] = [
  ['Flow conditioner', '#f1efe8', 'flow-conditioner'],
  ['Cell-forming conditioner', '#efeee9', 'cell-conditioner'],
  ['Untinted deep base', '#e9e7e0', 'untinted-base'],
  ['Gloss varnish', '#f3f3f1', 'varnish'],
  ['Water', '#d8e8ef', 'water'],
];

const USUAL_SUPPORTS: readonly SupportCreate[] = [
  {
    kind: 'canvas',
    name: 'Canvas 25 x 25',
    shape: 'rectangle',
    widthMm: 250,
    heightMm: 250,
    sideDepthMm: 18,
  },
  {
    kind: 'canvas',
    name: 'Canvas 30 x 40',
    shape: 'rectangle',
    widthMm: 300,
    heightMm: 400,
    sideDepthMm: 18,
  },
  { kind: 'panel', name: 'Panel 50 x 70', shape: 'rectangle', widthMm: 500, heightMm: 700, sideDepthMm: 38 },
  { kind: 'panel', name: 'Round 30', shape: 'round', widthMm: 300, heightMm: 300, sideDepthMm: 18 },
];

const paint = ([name, colorHex, kind, pigment, finish = 'plain']: PaintLine): MaterialCreate => ({
  name,
  kind,
  colorHex,
  finish,
  pigment,
  opacity: 'opaque',
  ...UNCOUNTED,
  note: '',
});

/** Fills an empty shelf with the materials and supports that every recipe needs; never touches a used one. */
export async function stockStarterShelf(db: Db): Promise<void> {
  const used = await db.selectFrom('material').select('id').limit(1).executeTakeFirst();
  if (used) return;
  await write(db, async (trx) => {
    for (const line of PAINTS) await createMaterial(trx, paint(line));
    for (const [name, colorHex, kind] of MEDIA) {
      await createMaterial(trx, {
        name,
        colorHex,
        kind,
        finish: 'plain',
        opacity: 'transparent',
        pigment: null,
        ...UNCOUNTED,
        note: '',
      });
    }
    for (const support of USUAL_SUPPORTS) await SUPPORTS.create(trx, support);
    await stockEquipment(trx);
  });
}
