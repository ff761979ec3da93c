import {
  AIR_TOOLS,
  airBounds,
  airPower,
  deepDentMm,
  jetOnPaint,
  normalizeDeg,
  passReachMm,
  peakShearPa,
} from './index.ts';

/** Usual distance, exit and speed (rough values of the kind; common practice, no published source). */
it.each([
  ['mouth', 'breath', 100, 9, 15],
  ['straw', 'breath', 40, 6, 18],
  ['mini-blower', 'battery', 120, 12, 25],
  ['fan-blower', 'mains', 150, 80, 8],
  ['hair-dryer', 'mains', 150, 43, 18],
  ['leaf-blower', 'mains', 600, 70, 55],
  ['compressor', 'mains', 60, 3, 60],
] as const)(
  '%s: by %s, from %d mm, %d mm wide, %d m/s',
  (tool, power, distanceMm, exitDiameterMm, exitSpeedMS) => {
    expect(AIR_TOOLS.find((each) => each.tool === tool)).toMatchObject({
      ...{ power, distanceMm, exitDiameterMm, exitSpeedMS },
    });
    expect(airPower(tool)).toBe(power);
  },
);

it.each([
  [0, 0],
  [360, 0],
  [-90, 270],
  [725, 5],
])('%d degrees are %d', (deg, normal) => {
  expect(normalizeDeg(deg)).toBeCloseTo(normal, 9);
});

describe('how near and how steep, to the number', () => {
  const mouth = { exitSpeedMS: 15, exitDiameterMm: 9, distanceMm: 60, paintDensityKgM3: 1150 };
  const question = { ...mouth, slantDeg: 90, depthMm: 3, filmMm: 1 };

  it('the steepest slant leaves just the film at the distance that was asked about', () => {
    const { steepestSlantDeg } = airBounds(question);
    expect(steepestSlantDeg).toBeLessThan(90);
    expect(jetOnPaint({ ...mouth, slantDeg: steepestSlantDeg }).dentMm).toBeCloseTo(2, 9);
  });

  it('any distance and any slant will do where even the exit’s own speed leaves the film', () => {
    expect(airBounds({ ...question, depthMm: 30 })).toEqual({ nearestDistanceMm: 0, steepestSlantDeg: 90 });
  });
});

describe('laws of the air against numbers worked out by hand (formulas from memory)', () => {
  it('a hole as deep as a tenth of the distance: n (1 + n)^2 with n = 0.1', () => {
    const [n, heightM, K] = [0.1, 0.2, 7];
    const momentum = (Math.PI / (2 * K ** 2)) * n * (1 + n) ** 2 * 1150 * 9.81 * heightM ** 3;
    const exitSpeedMS = Math.sqrt(momentum / ((Math.PI / 4) * 0.01 ** 2 * 1.204));
    const jet = { exitSpeedMS, exitDiameterMm: 10, distanceMm: 200, paintDensityKgM3: 1150 };
    expect(deepDentMm(jet)).toBeCloseTo(20, 4);
  });

  it('nearer than five exits the shear stays what it is there', () => {
    const jet = { exitSpeedMS: 15, exitDiameterMm: 9 };
    const at = (distanceMm: number) => peakShearPa({ ...jet, distanceMm });
    expect(at(20)).toBeCloseTo(at(45), 12);
    expect(at(45)).toBeCloseTo((44.6 * 1.204 * 225) / Math.sqrt(0.135 / 1.51e-5) / 25, 9);
    expect(at(90)).toBeCloseTo(at(45) / 4, 9);
  });

  const tau = (slantDeg: number) => {
    const slant = (slantDeg * Math.PI) / 180;
    return 0.025 * 1.204 * ((6.2 * 15 * 9) / 100) ** 2 * (Math.sin(slant) + Math.cos(slant));
  };

  it('a short pass carries the paint by speed times time: (tau (1 + tau/3) - rho g h^2 / (3 r)) sum(h/mu)', () => {
    const jet = { exitSpeedMS: 15, exitDiameterMm: 9, distanceMm: 100, slantDeg: 30, seconds: 1e-3 };
    // Of 2.3 mm no more stands at the front than 2 sqrt(0.03 / (rho g)) sin 30 degrees.
    const frontM = Math.sqrt(0.03 / (1150 * 9.80665));
    const weight = (1150 * 9.80665 * frontM ** 2) / 3 / 0.01;
    const speed = (tau(30) * (1 + tau(30) / 3) - weight) * (2 / 2 + 0.3 / 0.5);
    const layers = [
      { thicknessMm: 2, viscosityPaS: 2 },
      { thicknessMm: 0.3, viscosityPaS: 0.5 },
    ];
    expect(passReachMm(jet, { layers })).toBeCloseTo(speed * 1e-3, 5);
  });

  it('beyond two half-widths, 20 mm here, it slows down by the square of the way', () => {
    const jet = { exitSpeedMS: 15, exitDiameterMm: 9, distanceMm: 100, slantDeg: 90, seconds: 600 };
    // Where the shear is small, dr/dt = k (20/r)^2: r^3 = 20^3 + 3 k 400 t.
    const layers = [{ thicknessMm: 0.05, viscosityPaS: 0.02 }];
    const slow = Math.cbrt(8000 + 3 * tau(90) * 2.5 * 400 * 590);
    expect(passReachMm(jet, { layers })).toBeGreaterThan(slow);
    expect(passReachMm(jet, { layers })).toBeLessThan(1.1 * slow);
  });
});
