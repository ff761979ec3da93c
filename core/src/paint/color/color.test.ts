import { converter } from 'culori';
import fc from 'fast-check';
import { mix } from 'spectral.js';
import {
  applyShift,
  colorDifference,
  colorShift,
  cupColor,
  matchColor,
  meanShift,
  mixColor,
  readPalette,
  shiftWords,
  writePalette,
} from './index.ts';
import { curveOf, mixInto } from './curves.ts';
import { tinting } from './mixColor.ts';

const lch = converter('oklch');
const hexes = fc.integer({ min: 0, max: 0xffffff }).map((value) => `#${value.toString(16).padStart(6, '0')}`);

describe('mixing by Kubelka-Munk', () => {
  it('blue and yellow make a green, not the gray of mixed light', () => {
    const green = lch(
      mixColor([
        { hex: '#1d3f9a', amount: 1 },
        { hex: '#f5c518', amount: 1 },
      ]),
    )!;
    expect(green.h).toBeGreaterThan(100);
    expect(green.h).toBeLessThan(180);
    expect(green.c).toBeGreaterThan(0.05);
  });

  it('a paint mixed with itself, or alone, stays itself', () => {
    for (const hex of ['#9c4a2c', '#26333f', '#e6e1d6']) {
      expect(colorDifference(mixColor([{ hex, amount: 3 }]), hex)).toBeLessThan(0.6);
      expect(
        colorDifference(
          mixColor([
            { hex, amount: 1 },
            { hex, amount: 2 },
          ]),
          hex,
        ),
      ).toBeLessThan(0.6);
    }
  });

  it('a paint that tints more strongly pulls the mixture toward itself', () => {
    const far = (strength: number | null) =>
      colorDifference(
        mixColor([
          { hex: '#1d3f9a', amount: 1, strength },
          { hex: '#f3f2ec', amount: 4 },
        ]),
        '#1d3f9a',
      );
    expect(far(3)).toBeLessThan(far(1));
    expect(far(0.5)).toBeGreaterThan(far(1));
    expect(far(null)).toBe(far(1));
  });

  it('many mixes at a time come out as the library mixes them', () => {
    const parts = fc.array(
      fc.record({
        hex: hexes,
        amount: fc.double({ min: 0.1, max: 1, noNaN: true }),
        strength: fc.double({ min: 0.3, max: 3, noNaN: true }),
      }),
      { minLength: 1, maxLength: 4 },
    );
    const lab = new Float32Array(3);
    fc.assert(
      fc.property(parts, (given) => {
        const colors = given.map((part) => ({
          color: tinting(part.hex, part.strength),
          amount: part.amount,
        }));
        mixInto(
          colors.map(({ color, amount }) => ({ curve: curveOf(color), amount })),
          lab,
        );
        const whole = mix(...colors.map(({ color, amount }) => [color, amount] as const)).OKLab;
        whole.forEach((value, axis) => expect(lab[axis]).toBeCloseTo(value, 3));
      }),
    );
  });

  it('more black is darker', () => {
    const lightness = (amount: number) =>
      lch(
        mixColor([
          { hex: '#d8452f', amount: 1 },
          { hex: '#141414', amount },
        ]),
      )!.l;
    expect(lightness(0.5)).toBeLessThan(lightness(0.1));
    expect(lightness(2)).toBeLessThan(lightness(0.5));
  });

  it('a cup shows its paints stirred together; media dry clear', () => {
    const part = (kind: 'artist-tube' | 'flow-conditioner', colorHex: string, targetMg: number) => ({
      targetMg,
      material: { kind, colorHex },
    });
    const medium = part('flow-conditioner', '#f1efe8', 30_000);
    expect(cupColor([medium, part('artist-tube', '#9c4a2c', 15_000)])).toBe('#9c4a2c');
    expect(cupColor([medium])).toBe('#f1efe8');
    const two = cupColor([
      medium,
      part('artist-tube', '#f3f2ec', 5_000),
      part('artist-tube', '#9c4a2c', 5_000),
    ]);
    expect(lch(two)!.l).toBeGreaterThan(lch('#9c4a2c')!.l);
    expect(lch(two)!.l).toBeLessThan(lch('#f3f2ec')!.l);
  });

  it('needs something to mix', () => {
    expect(() => mixColor([{ hex: '#ffffff', amount: 0 }])).toThrow(
      expect.objectContaining({ field: 'parts' }),
    );
  });
});

describe('CIEDE2000', () => {
  it('is zero for one color, symmetric, and large from black to white', () => {
    fc.assert(
      fc.property(hexes, hexes, (a, b) => {
        expect(colorDifference(a, a)).toBe(0);
        expect(colorDifference(a, b)).toBeCloseTo(colorDifference(b, a), 9);
      }),
    );
    expect(colorDifference('#000000', '#ffffff')).toBeCloseTo(100, 1);
  });

  it('names the one that is no color', () => {
    expect(() => colorDifference('#000000', 'teal-ish')).toThrow(expect.objectContaining({ field: 'b' }));
  });
});

describe('matching a color from the shelf', () => {
  const shelf = ['#f3f2ec', '#1b1a1d', '#1d3f86', '#1f7f74', '#b8322c', '#c08a2e', '#a8623a'].map(
    (hex, index) => ({
      id: String(index),
      hex,
    }),
  );

  it('finds a mix that was made in spoons of the shelf’s own paints', () => {
    const target = mixColor([
      { hex: shelf[2]!.hex, amount: 1 },
      { hex: shelf[5]!.hex, amount: 0.5 },
    ]);
    const [best] = matchColor(target, shelf);
    expect(best!.de2000).toBeLessThan(1);
    expect(best!.parts.map((part) => part.id).sort()).toEqual(['2', '5']);
  });

  it('finds a mix of three', () => {
    const target = mixColor([
      { hex: shelf[0]!.hex, amount: 1 },
      { hex: shelf[4]!.hex, amount: 0.5 },
      { hex: shelf[2]!.hex, amount: 0.125 },
    ]);
    const found = matchColor(target, shelf, 20);
    expect(Math.min(...found.map(({ de2000 }) => de2000))).toBeLessThan(2);
  });

  it('answers in kitchen parts of at most four paints, the simplest first of those that look alike', () => {
    const answers = matchColor('#6f93a8', shelf, 5);
    expect(answers).toHaveLength(5);
    for (const answer of answers) {
      expect(answer.parts.length).toBeLessThanOrEqual(4);
      for (const part of answer.parts) expect([1, 0.5, 0.25, 0.125]).toContain(part.amount);
    }
    const sets = answers.map((answer) =>
      answer.parts
        .map((part) => `${part.id} ${part.amount}`)
        .sort()
        .join(),
    );
    expect(new Set(sets).size).toBe(5);
    const bands = answers.map(({ de2000 }) => [1, 2.5, 6].filter((most) => de2000 >= most).length);
    expect(bands).toEqual([...bands].sort((a, b) => a - b));
    for (const band of new Set(bands)) {
      const paints = answers.filter((_, index) => bands[index] === band).map(({ parts }) => parts.length);
      expect(paints).toEqual([...paints].sort((a, b) => a - b));
    }
  });

  it('a shelf of one paint answers with it', () => {
    expect(matchColor('#6f93a8', [shelf[0]!])[0]!.parts).toEqual([{ id: '0', amount: 1 }]);
  });
});

describe('wet to dry', () => {
  it('a color that dried darker has a shift below 0, and back again above', () => {
    const shift = colorShift('#6f93a8', '#5f8299');
    expect(shift.dL).toBeLessThan(-3);
    expect(colorShift('#5f8299', '#6f93a8').dL).toBeCloseTo(-shift.dL, 9);
    expect(shiftWords(shift)).toMatch(/darker/);
  });

  it('no shift is no shift, and grays have no hue to turn', () => {
    expect(colorShift('#808080', '#808080')).toEqual({ dL: 0, dC: 0, dh: 0 });
    expect(colorShift('#808080', '#707172').dh).toBe(0);
    expect(shiftWords({ dL: 0, dC: 0, dh: 0 })).toBe('dried as it was');
  });

  it('turns the short way round', () => {
    expect(Math.abs(colorShift('#c0203a', '#c02a20').dh)).toBeLessThan(90);
    expect(() => colorShift('red-ish', '#000000')).toThrow(expect.objectContaining({ field: 'wet' }));
  });
});

describe('GIMP palettes', () => {
  it('go out and come in again', () => {
    fc.assert(
      fc.property(fc.array(hexes, { maxLength: 20 }), (colors) => {
        const palette = colors.map((hex, index) => ({ name: `Paint ${index}`, hex }));
        expect(readPalette(writePalette('Shelf', palette))).toEqual(palette);
      }),
    );
  });

  it('are read with a byte-order mark, other line ends, comments and missing names', () => {
    const text =
      '\uFEFFGIMP Palette\r\nName: x\r\nColumns: 4\r\n# note\r\n  1   2   3\r\n255 255 255\tSnow white\r\n';
    expect(readPalette(text)).toEqual([
      { name: 'Color 1', hex: '#010203' },
      { name: 'Snow white', hex: '#ffffff' },
    ]);
  });

  it('say which line is wrong', () => {
    expect(() => readPalette('hello')).toThrow(expect.objectContaining({ field: 'line 1' }));
    expect(() => readPalette('GIMP Palette\n1 2 3 ok\n300 0 0 no')).toThrow(
      expect.objectContaining({ field: 'line 3' }),
    );
  });
});

describe('a learned shift', () => {
  it('applied to the wet color gives the dry one again', () => {
    const pairs = [
      ['#6f93a8', '#5f8299'],
      ['#b8322c', '#a02a26'],
      ['#e6e1d6', '#e0dacd'],
    ] as const;
    for (const [wet, dry] of pairs) {
      expect(colorDifference(applyShift(wet, colorShift(wet, dry)), dry)).toBeLessThan(0.7);
    }
  });

  it('stays a color where it would leave what a screen can show', () => {
    expect(applyShift('#f3f2ec', { dL: 40, dC: 0, dh: 0 })).toMatch(/^#[0-9a-f]{6}$/);
    expect(applyShift('#101010', { dL: -40, dC: -20, dh: 10 })).toBe('#000000');
    expect(() => applyShift('red-ish', { dL: 0, dC: 0, dh: 0 })).toThrow(
      expect.objectContaining({ field: 'wet' }),
    );
  });

  it('is the mean of what was seen', () => {
    expect(meanShift([])).toBeUndefined();
    expect(
      meanShift([
        { dL: -2, dC: 0, dh: 4 },
        { dL: -4, dC: 2, dh: -2 },
      ]),
    ).toEqual({ dL: -3, dC: 1, dh: 1 });
  });
});
