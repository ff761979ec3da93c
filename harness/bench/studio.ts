import type { LearnCup, ReadingRecord } from '@icy-ribbon/core/thickness/learn';
import { materialKind, roleOf } from '@icy-ribbon/core/paint/material';
import type { SetCup } from '@icy-ribbon/core/thickness/match';
import { gaussian, seededRandom } from '@icy-ribbon/core/base/random';

/** Made-up cups, readings and layers that benchmarks work on. */
const random = seededRandom(5);
const CONTENTS_MG = [30_000, 15_000, 11_250];

function cup(id: string, paint: string): SetCup {
  const part = (materialId: string, kind: 'flow-conditioner' | 'artist-tube' | 'water', share: number) => {
    const { viscosityPaS, densityGPerMl, label } = materialKind(kind);
    return {
      id: `${id} ${kind}`,
      role: roleOf(kind),
      share,
      material: {
        materialId,
        name: label,
        kind,
        viscosityPaS,
        densityGPerMl,
        viscosityTrust: 'typical' as const,
      },
    };
  };
  return {
    id,
    name: id,
    role: 'color',
    ingredients: [
      part('medium', 'flow-conditioner', 2 / 3),
      part(paint, 'artist-tube', 1 / 3),
      part('water', 'water', 0),
    ],
    contentsMg: CONTENTS_MG.map((mg) => Math.round(mg * (1 + 0.1 * gaussian(random)))),
    capacityMl: 150,
    waterLimit: 0.3,
  };
}

export const setCups: readonly SetCup[] = Array.from({ length: 6 }, (_, at) =>
  cup(`cup ${at}`, `paint ${at}`),
);

const CUPS = 100;
export const cups: readonly LearnCup[] = Array.from({ length: CUPS }, (_, at) =>
  cup(`old ${at}`, `paint ${at % 60}`),
);

export const readings: readonly ReadingRecord[] = Array.from({ length: 1000 }, (_, at): ReadingRecord => {
  const of = cups[at % CUPS]!;
  return {
    id: String(at),
    cupId: of.id,
    raceId: `race ${Math.floor(at / 5)}`,
    at: '2026-03-01T09:30:00.000Z',
    contents: of.ingredients.map((each, index) => ({ ingredientId: each.id, mg: CONTENTS_MG[index] ?? 0 })),
    measure: {
      kind: 'race',
      by: 'time',
      value: 7 * Math.exp(0.2 * gaussian(random)),
      liquid: null,
      card: null,
    },
    struck: false,
  };
});

let round = 0;

/** Eight layers a little thicker each time, so that nothing about them is known yet. */
export function freshStack() {
  round += 1;
  return Array.from({ length: 8 }, (_, at) => ({
    thicknessMm: (3 + round / 1e4) / (1 + at / 2),
    viscosityPaS: 3 - 0.3 * at,
    densityKgM3: 1060 + 25 * at,
  }));
}
