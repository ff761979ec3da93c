import { materialKind, roleOf } from '../src/paint/material/index.ts';

/** Minutes after ten. */
export const minuteOf = (minute: number) => `2026-03-01T10:${String(minute).padStart(2, '0')}:00.000Z`;

/** A cup of medium, paint and water in milligrams, weighed in at nine. */
export function cup(id: string, role: string, mg: readonly [number, number, number], hex = '#9c4a2c') {
  const kinds = ['flow-conditioner', 'artist-tube', 'water'] as const;
  return {
    id,
    name: id,
    role,
    recipe: { id: 'D2', name: 'D2', variant: null, thinning: null, restHours: null, waterLimit: null },
    position: 0,
    lid: true,
    dryColorHex: null,
    ingredients: kinds.map((kind, index) => {
      const { label, viscosityPaS, densityGPerMl } = materialKind(kind);
      return {
        id: `${id} ${kind}`,
        role: roleOf(kind),
        targetMg: mg[index],
        material: {
          materialId: kind,
          name: label,
          kind,
          viscosityPaS,
          densityGPerMl,
          viscosityTrust: 'typical',
          densityTrust: 'typical',
          colorHex: hex,
          finish: 'plain',
          opacity: 'opaque',
          solids: null,
          waterLimit: null,
        },
      };
    }),
    additions: kinds.map((kind, index) => ({
      id: `${id} add ${kind}`,
      ingredientId: `${id} ${kind}`,
      mg: mg[index],
      source: 'typed',
      at: '2026-02-28T22:00:00.000Z',
      drawId: null,
    })),
    movements: [],
  };
}

export const pass = (seconds: number, minute: number, id = `pass ${minute}`, more: object = {}) => ({
  id,
  kind: 'pass',
  at: minuteOf(minute),
  data: {
    tool: 'mouth',
    setting: 'soft',
    distanceMm: 100,
    slantDeg: 30,
    directionDeg: 0,
    seconds,
    from: null,
    ...more,
  },
});
export const layer = (cupId: string, mg: number, minute: number, more: object = {}) => ({
  id: `layer ${minute}`,
  kind: 'layer',
  at: minuteOf(minute),
  data: { cupId, mg, ...more },
});
