import {
  FLAT_HEX as HEX,
  flatInput as input,
  flatPhoto as photo,
  halves,
  inDisc,
} from '../../testing/index.ts';
import { detailOf, maskOfRuns, measurePhoto, numbersOf } from './index.ts';

const MUD = '#6b6358';

describe('shares', () => {
  it('are those of the areas, to a third of a point', () => {
    const { shares, negativeSpace, mud } = measurePhoto(photo(halves), input);
    for (const [name, share] of [
      ['base', 0.5],
      ['blue', 0.25],
      ['rose', 0.25],
      ['gold', 0],
    ] as const) {
      expect(Math.abs(shares[name]! - share)).toBeLessThan(0.0035);
    }
    expect(negativeSpace).toBe(shares.base);
    expect(mud).toBe(0);
  });

  it('of a round support leave out its frame', () => {
    const { shares } = measurePhoto(
      photo((x, y) => (((x - 30) / 30) ** 2 + ((y - 22.5) / 22.5) ** 2 > 1 ? '#6f5138' : halves(x, y))),
      { ...input, shape: 'round' },
    );
    expect(shares.base).toBeCloseTo(0.5, 1);
    expect(shares.blue! + shares.rose!).toBeCloseTo(0.5, 1);
  });
});

describe('mud', () => {
  it('is told from the colors, with its area: a disc of 5 mm on 27 cm² is 2.9 %', () => {
    const { mud, shares } = measurePhoto(
      photo((x, y) => (inDisc(x, y, 45, 12, 5) ? MUD : halves(x, y))),
      input,
    );
    expect(Math.abs(mud - (Math.PI * 25) / (input.widthMm * input.heightMm))).toBeLessThan(0.002);
    expect(Object.values(shares).reduce((sum, share) => sum + share, 0) + mud).toBeCloseTo(1, 6);
  });

  it('smaller than a third of a millimeter is no mud', () => {
    const { mud } = measurePhoto(
      photo((x, y) => (inDisc(x, y, 45, 12, 0.25) ? MUD : halves(x, y))),
      input,
    );
    expect(mud).toBeLessThan(2e-4);
  });
});

describe('glare', () => {
  const shone = photo((x, y) => (inDisc(x, y, 40, 10, 3) ? '#ffffff' : halves(x, y)));
  const measured = measurePhoto(shone, input);

  it('is left out, a millimeter around it too', () => {
    const { glareShare } = measured.quality;
    const wanted = (radius: number) => (Math.PI * radius ** 2) / (input.widthMm * input.heightMm);
    expect(glareShare).toBeGreaterThan(wanted(3.6));
    expect(glareShare).toBeLessThan(wanted(4.8));
  });

  it('does not change the colors: what it hides counts as what lies around it', () => {
    expect(measured.shares.base).toBeCloseTo(0.5, 1);
    expect(measured.shares.rose! / measured.shares.blue!).toBeGreaterThan(0.97);
    expect(measured.shares.rose! / measured.shares.blue!).toBeLessThan(1.03);
  });

  it('much of it is warned of', () => {
    const blinded = measurePhoto(
      photo((x, y) => (inDisc(x, y, 40, 10, 7) ? '#ffffff' : halves(x, y))),
      input,
    );
    expect(blinded.warnings.map(({ code }) => code)).toContain('glare');
  });
});

describe('what is kept of a measurement', () => {
  const dotted = (x: number, y: number) =>
    Math.hypot((x % 10) - 5, (y % 9) - 4.5) < 2 ? HEX.gold : x < 30 ? HEX.base : HEX.blue;
  const measured = measurePhoto(photo(dotted), input);
  const detail = detailOf(measured);

  it('the cells, as they were measured', () => {
    expect(measured.cells.count).toBeGreaterThan(25);
    expect(Math.abs(measured.cells.medianMm - 4)).toBeLessThan(0.06);
    expect(detail.cells).toHaveLength(measured.cells.count);
    const [x, y, diameter, label] = detail.cells[0] as [number, number, number, number];
    expect([x, y, diameter, label]).toEqual([
      measured.cells.list[0]!.xMm,
      measured.cells.list[0]!.yMm,
      expect.closeTo(measured.cells.list[0]!.diameterMm, 3),
      3,
    ]);
  });

  it('masks whose runs fill the picture to the last pixel', () => {
    const { widthPx, heightPx, net, mud, glare } = detail.masks;
    for (const runs of [net, mud, glare]) {
      expect(runs.reduce((sum, run) => sum + run, 0)).toBe(widthPx * heightPx);
      expect(maskOfRuns(runs, widthPx * heightPx)).toHaveLength(widthPx * heightPx);
    }
  });

  it('the numbers, as plain data', () => {
    expect(JSON.parse(JSON.stringify(numbersOf(measured)))).toEqual(numbersOf(measured));
  });
});

describe('a corrected color', () => {
  it('finds paint that dried to something else than its cup', () => {
    const dried = photo((x, y) => (halves(x, y) === HEX.rose ? '#7a2f2f' : halves(x, y)));
    const corrected = input.palette.map((color) =>
      color.name === 'rose' ? { ...color, hex: '#7c3030' } : color,
    );
    expect(measurePhoto(dried, { ...input, palette: corrected }).shares.rose).toBeCloseTo(0.25, 2);
  });
});

it.each([
  ['palette', { palette: input.palette.slice(0, 1) }],
  ['palette', { palette: [...input.palette, input.palette[0]!] }],
  ['palette', { palette: [...input.palette, { name: 'same blue', hex: '#2060a9' }] }],
  ['base', { base: 'sky' }],
  ['activator', { activator: 'sky' }],
  ['corners', { corners: [...input.corners].reverse() as never }],
] as const)('what does not fit together is refused at "%s"', (field, changes) => {
  expect(() => measurePhoto(photo(halves), { ...input, ...changes })).toThrow(
    expect.objectContaining({ field }),
  );
});
