import { blowOn, type FilmAir } from './blow.ts';
import { cellIndex, filmGrid } from './grid.ts';
import { plainFilm } from './plainKernel.ts';

const AIR: FilmAir = {
  ...{ exitSpeedMS: 20, exitDiameterMm: 12, distanceMm: 90, slantDeg: 25, directionDeg: 90 },
  ...{ xMm: 40, yMm: 40 },
};

/** A film whose surface rises to the right, and the air on its middle. */
function blown(riseDeg: number, meetsRidges: boolean, air: FilmAir = AIR) {
  const grid = filmGrid({ columns: 40, rows: 40, cellM: 2e-3, edge: 'wall' });
  const { fields } = plainFilm(grid, [{ viscosityPaS: 1, densityKgM3: 1100 }], {
    tauHalfPa: null,
    isCrisp: false,
  });
  const rise = Math.tan((riseDeg * Math.PI) / 180);
  fields.thickness[0]!.forEach((_, cell, field) => {
    field[cell] = 0.2 + rise * (cell % grid.stride) * grid.cellM;
  });
  blowOn(fields, air, 0.025, meetsRidges);
  const middle = cellIndex(grid, 19, 19);
  return { pressure: fields.airPressure[middle]!, shear: fields.airShear[0][middle]!, fields };
}

it('on a flat film, ridges or none, the air is the same', () => {
  const [met, not] = [blown(0, true).fields, blown(0, false).fields];
  met.airPressure.forEach((value, cell) => expect(value).toBeCloseTo(not.airPressure[cell]!, 9));
  met.airShear[0].forEach((value, cell) => expect(value).toBeCloseTo(not.airShear[0][cell]!, 12));
});

it.each([5, 15, 30])(
  'a slope of %i degrees toward the jet is met as a flat face is by a steeper jet',
  (deg) => {
    const { pressure, shear } = blown(deg, true);
    const steep = (slantDeg: number) => Math.sin((slantDeg * Math.PI) / 180) ** 2;
    expect(pressure / blown(0, true).pressure).toBeCloseTo(steep(25 + deg) / steep(25), 6);
    expect(shear).toBeLessThan(blown(0, true).shear);
  },
);

it('behind a slope that falls away steeper than the jet comes there is no pressure', () => {
  expect(blown(-30, true).pressure).toBe(0);
  expect(blown(-20, true).pressure).toBeGreaterThan(0);
});
