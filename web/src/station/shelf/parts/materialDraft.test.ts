import type { Equipment, ShelvedMaterial } from '@icy-ribbon/contract';
import { materialCreateSchema, supportCreateSchema } from '@icy-ribbon/contract';
import { AIR_TOOLS } from '@icy-ribbon/core/flow/air';
import { emptySupport } from '../../../field/supportDraft.ts';
import { draftOf, emptyMaterial, stockLeftMg, typicalOf } from './materialDraft.ts';
import { emptyBlower, emptyVessel, equipmentDraft } from './equipmentDraft.ts';

const brass = {
  id: 'b',
  name: 'Brass',
  kind: 'artist-tube',
  colorHex: '#b08d3e',
  dryColorHex: null,
  finish: 'metallic',
  opacity: 'opaque',
  pigment: 'metallic',
  densityGPerMl: 1.15,
  densityTrust: 'typical',
  viscosityPaS: 41,
  viscosityTrust: 'measured',
  priceCents: 1290,
  packMg: 120_000,
  stockMg: 80_000,
  usedMg: 30_000,
  openedOn: null,
  canBuy: true,
  solids: null,
  waterLimit: null,
  note: '',
} as unknown as ShelvedMaterial;

describe('a material while it is edited', () => {
  it('shows only what was measured; typical values stay empty', () => {
    expect(draftOf(brass)).toMatchObject({ densityGPerMl: null, viscosityPaS: 41, price: 12.9 });
  });

  it('shows what should be left of it, never less than nothing', () => {
    expect(draftOf(brass).stockMg).toBe(50_000);
    expect(stockLeftMg({ ...brass, usedMg: 90_000 })).toBe(0);
    expect(stockLeftMg({ ...brass, stockMg: null })).toBeNull();
  });

  it('falls back on kind and pigment', () => {
    const draft = emptyMaterial();
    expect(typicalOf({ ...draft, pigment: 'titanium-white' })).toEqual({
      densityGPerMl: 1.45,
      viscosityPaS: 45,
    });
    expect(typicalOf({ ...draft, kind: 'flow-conditioner' }).densityGPerMl).toBe(1.03);
  });

  it('an empty one needs no more than a name', () => {
    const { densityGPerMl, viscosityPaS, price, ...rest } = emptyMaterial();
    void [densityGPerMl, viscosityPaS, price];
    expect(materialCreateSchema.safeParse(rest).error?.issues.map((issue) => issue.path[0])).toEqual([
      'name',
    ]);
    expect(materialCreateSchema.safeParse({ ...rest, name: 'Fern' }).success).toBe(true);
  });
});

it('an empty support needs no more than a name', () => {
  expect(supportCreateSchema.safeParse(emptySupport()).error?.issues.map((issue) => issue.path[0])).toEqual([
    'name',
  ]);
});

describe('cups and blowers while they are edited', () => {
  it('a blower starts from the typical exit of its kind', () => {
    for (const { tool, exitDiameterMm, exitSpeedMS } of AIR_TOOLS) {
      expect(emptyBlower(tool)).toMatchObject({ tool, exitDiameterMm, exitSpeedMS, exitTrust: 'typical' });
    }
  });

  it('what is edited is what is kept', () => {
    const vessel = { ...emptyVessel(), name: 'Jar', id: 'v', version: 2 } as unknown as Equipment;
    expect(equipmentDraft(vessel)).toEqual({ ...emptyVessel(), name: 'Jar' });
    const blower = { ...emptyBlower('straw'), name: 'Straw', id: 's', version: 1 } as unknown as Equipment;
    expect(equipmentDraft(blower)).toEqual({ ...emptyBlower('straw'), name: 'Straw' });
  });
});
