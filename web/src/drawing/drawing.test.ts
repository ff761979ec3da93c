import fc from 'fast-check';
import { STAGES } from '@icy-ribbon/core/paint/stage';
import { cupFor, drawLayers, levelCm } from './cup.ts';
import { alongRibbon, placeBeads, ribbonAt, spreadApart, STACK_PITCH_PX } from './ribbon.ts';
import { airPath, puddleRadiusMm } from './support.ts';

describe('the ribbon', () => {
  it('runs from thick at the left to thin at the right, in equal steps for equal ratios', () => {
    const places = STAGES.filter((stage) => stage.fromPaS > 0).map((stage) => alongRibbon(stage.fromPaS));
    expect(places).toEqual([...places].sort((a, b) => a - b));
    expect(alongRibbon(1) - alongRibbon(2)).toBeCloseTo(alongRibbon(0.2) - alongRibbon(0.4), 12);
  });

  it('gets narrower all the way', () => {
    for (let share = 0; share < 0.85; share += 0.1) {
      expect(ribbonAt(share, 0).half).toBeGreaterThan(ribbonAt(share + 0.1, 0).half);
    }
  });

  it('keeps the labels of crowded beads apart, in order and inside', () => {
    const beads = fc.array(fc.double({ min: 0.01, max: 50, noNaN: true }), { minLength: 1, maxLength: 8 });
    fc.assert(
      fc.property(beads, (viscosities) => {
        const frame = { width: 1000, margin: 8, charWidth: 7 };
        const placed = placeBeads(
          viscosities.map((viscosityPaS, index) => ({
            id: String(index),
            name: 'Slate ink',
            viscosityPaS,
            spreadLn: 0.3,
          })),
          frame,
        );
        placed.forEach((bead, index) => {
          expect(bead.x).toBeGreaterThanOrEqual(8);
          expect(bead.x).toBeLessThanOrEqual(992);
          const before = placed[index - 1];
          if (before) expect(bead.labelX - before.labelX).toBeGreaterThanOrEqual(9 * 7);
        });
      }),
    );
  });

  it('says when a cup is thicker or thinner than the ribbon is long', () => {
    const frame = { width: 800, margin: 8, charWidth: 7 };
    const cup = (viscosityPaS: number) => ({ id: 'a', name: 'a', viscosityPaS, spreadLn: 0 });
    expect(placeBeads([cup(60)], frame)[0]?.beyond).toBe('thick');
    expect(placeBeads([cup(0.01)], frame)[0]?.beyond).toBe('thin');
    expect(placeBeads([cup(0.7)], frame)[0]?.beyond).toBeNull();
  });

  it('stacks beads that would hide each other, and only those', () => {
    const frame = { width: 1000, margin: 8, charWidth: 7 };
    const cup = (id: string, viscosityPaS: number) => ({ id, name: id, viscosityPaS, spreadLn: 0 });
    const placed = placeBeads([cup('a', 0.7), cup('b', 0.7), cup('c', 0.71), cup('d', 3)], frame);
    const dyOf = (id: string) => placed.find((bead) => bead.id === id)!.dy;
    expect(dyOf('d')).toBe(0);
    expect(['a', 'b', 'c'].map(dyOf).sort((x, y) => x - y)).toEqual([-STACK_PITCH_PX, 0, STACK_PITCH_PX]);
  });

  it('never lays two beads over each other, however many there are', () => {
    const thicknesses = fc.array(fc.double({ min: 0.06, max: 12, noNaN: true }), {
      minLength: 2,
      maxLength: 8,
    });
    fc.assert(
      fc.property(thicknesses, (all) => {
        const placed = placeBeads(
          all.map((viscosityPaS, index) => ({ id: String(index), name: 'x', viscosityPaS, spreadLn: 0 })),
          { width: 900, margin: 8, charWidth: 7 },
        );
        placed.forEach((one, index) => {
          placed.slice(index + 1).forEach((other) => {
            expect(Math.hypot(one.x - other.x, one.dy - other.dy)).toBeGreaterThanOrEqual(
              STACK_PITCH_PX - 1e-9,
            );
          });
        });
      }),
    );
  });

  it('waves further toward its thin end', () => {
    const far = (from: number, to: number) =>
      Math.max(
        ...Array.from({ length: 50 }, (_, i) => Math.abs(ribbonAt(from + ((to - from) * i) / 49, 0).y)),
      );
    expect(far(0.6, 1)).toBeGreaterThan(far(0, 0.3));
    expect(far(0, 1)).toBeLessThanOrEqual(9);
  });

  it('leaves blocks alone that have room', () => {
    expect(spreadApart([100, 300], [50, 50], 1000)).toEqual([100, 300]);
    expect(spreadApart([100, 100], [50, 50], 1000)).toEqual([75, 125]);
    expect(spreadApart([5, 5], [50, 50], 1000)).toEqual([25, 75]);
  });
});

describe('the cup', () => {
  it('is the smallest usual one with room to stir', () => {
    expect(cupFor(40).capacityMl).toBe(60);
    expect(cupFor(55).capacityMl).toBe(150);
    expect(cupFor(9000).capacityMl).toBeGreaterThan(9000);
  });

  it('holds its capacity: the volume of a frustum', () => {
    for (const volume of [10, 100, 700]) {
      const { capacityMl, topRadiusCm: top, bottomRadiusCm: bottom, heightCm } = cupFor(volume);
      const frustum = ((Math.PI * heightCm) / 3) * (top ** 2 + top * bottom + bottom ** 2);
      expect(frustum).toBeCloseTo(capacityMl, 6);
      expect(levelCm(cupFor(volume), capacityMl)).toBeCloseTo(heightCm, 9);
      expect(levelCm(cupFor(volume), 0)).toBeCloseTo(0, 12);
    }
  });

  it('more paint always stands higher', () => {
    const shape = cupFor(100);
    fc.assert(
      fc.property(fc.double({ min: 0, max: 149, noNaN: true }), (volume) => {
        expect(levelCm(shape, volume + 1)).toBeGreaterThan(levelCm(shape, volume));
      }),
    );
  });

  it('stacks layers from the bottom up and keeps their labels apart', () => {
    const layer = (id: string, volumeMl: number) => ({
      id,
      label: id,
      role: 'paint',
      colorHex: '#000000',
      mg: 1000,
      volumeMl,
      state: 'in' as const,
    });
    const drawn = drawLayers(cupFor(100), [layer('a', 60), layer('b', 1), layer('c', 1)], 10);
    expect(drawn[0]!.middleY).toBeGreaterThan(drawn[1]!.middleY);
    expect(drawn[1]!.labelY - drawn[2]!.labelY).toBeGreaterThanOrEqual(15);
  });
});

describe('the support from above', () => {
  const support = { shape: 'rectangle', widthMm: 300, heightMm: 400, sideDepthMm: 18 } as const;

  it('draws air as an arrow whose tail is thin and whose point lies where it went', () => {
    const path = airPath({ directionDeg: 90, seconds: 4, from: { x: 0.5, y: 0.5 } }, support);
    const places = path
      .slice(1, -1)
      .split('L')
      .map((point) => point.split(' ').map(Number) as [number, number]);
    const high = (from: number, to: number) => {
      const ys = places.filter(([x]) => x >= from && x <= to).map(([, y]) => y);
      return Math.max(...ys) - Math.min(...ys);
    };
    const point = places.reduce((farthest, place) => (place[0] > farthest[0] ? place : farthest));
    expect(point).toEqual([expect.closeTo(234, 0), 200]);
    expect(places.filter(([x]) => x > point[0] - 5)).toEqual([point]);
    expect(high(149, 151)).toBeLessThan(high(200, 232) / 4);
    places.forEach(([, y]) => expect(Math.abs(y - 200)).toBeLessThan(10));
  });

  it('draws more paint as a wider puddle', () => {
    expect(puddleRadiusMm(40_000)).toBeGreaterThan(puddleRadiusMm(10_000));
    expect(puddleRadiusMm(40_000) / puddleRadiusMm(10_000)).toBeCloseTo(2, 12);
  });
});
