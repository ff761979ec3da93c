import { stockLeftMg } from '@icy-ribbon/core/paint/material';
import type { Blower, ShelvedMaterial, Vessel } from '@icy-ribbon/contract';
import { materialCreateSchema, supportCreateSchema } from '@icy-ribbon/contract';
import { AIR_TOOLS } from '@icy-ribbon/core/flow/air';
import { emptySupport } from '#field/supportDraft.ts';
import { changesOf, draftOf, emptyMaterial, materialOf, typicalOf } from './materialDraft.ts';
import { columnsOf } from './materialColumns.ts';
import { isWanted } from './useMaterials.ts';
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

  it('is sent without what is typical, money in cents', () => {
    const entered = { ...emptyMaterial(), name: 'Fern', price: 9.99, viscosityPaS: 30 };
    expect(materialOf(entered)).toMatchObject({ name: 'Fern', priceCents: 999, viscosityPaS: 30 });
    expect(materialOf(entered)).not.toHaveProperty('densityGPerMl');
    expect(materialOf(entered)).not.toHaveProperty('price');
  });

  it('a change counts the stock anew only when it was typed, and typical values are said to be so', () => {
    const draft = draftOf(brass);
    expect(changesOf(draft, brass)).not.toHaveProperty('stockMg');
    expect(changesOf(draft, brass)).not.toHaveProperty('kind');
    expect(changesOf({ ...draft, stockMg: 40_000 }, brass)).toMatchObject({ stockMg: 40_000 });
    expect(changesOf({ ...draft, viscosityPaS: null }, brass)).toMatchObject({
      viscosityPaS: 45,
      viscosityTrust: 'typical',
      densityTrust: 'typical',
    });
  });

  it('is found by kind and by any word that can be read of it', () => {
    expect(isWanted(brass, ' TUBE ', '')).toBe(true);
    expect(isWanted(brass, 'metallic', 'artist-tube')).toBe(true);
    expect(isWanted(brass, 'brass', 'water')).toBe(false);
    expect(isWanted(brass, 'rust', '')).toBe(false);
  });

  it('the table shows the columns that were chosen, in their order, and no choosing in the archive', () => {
    const titles = columnsOf(['stock', 'density'], 'g/ml', true).map(({ title }) => title);
    expect(titles).toEqual(['Name', 'Kind', 'Density, g/ml', 'In stock', '']);
    expect(columnsOf([], 'g/ml', false)).toHaveLength(titles.length - 1);
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
    const vessel = { ...emptyVessel(), name: 'Jar', id: 'v', version: 2 } as unknown as Vessel & Blower;
    expect(equipmentDraft(vessel)).toEqual({ ...emptyVessel(), name: 'Jar' });
    const blower = { ...emptyBlower('straw'), name: 'Straw', id: 's', version: 1 } as unknown as Vessel &
      Blower;
    expect(equipmentDraft(blower)).toEqual({ ...emptyBlower('straw'), name: 'Straw' });
  });
});
