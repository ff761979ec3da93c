import { evaporation, sheetDriesSeconds, TOUCH_DRY_DAYS } from './index.ts';

it('a thin Dutch pour is touch-dry a day before a bloom (common practice)', () => {
  expect(TOUCH_DRY_DAYS.bloom.from - TOUCH_DRY_DAYS.dutch.from).toBe(1);
  expect(TOUCH_DRY_DAYS.swipe).toEqual(TOUCH_DRY_DAYS.dutch);
});

describe('evaporation (ASHRAE and Magnus, from memory)', () => {
  const room = { areaM2: 1, waterG: 180, temperatureC: 20, humidityPct: 50, airMS: 0 };

  it('worked out by hand: 2.333 kPa at 20 °C, half of it lacking, 2453.8 kJ/kg', () => {
    const perSecond = (1000 * (2.3328 / 2) * 0.089) / 2453.8;
    expect(evaporation(room).gramsPerHour).toBeCloseTo(3600 * perSecond, 1);
    expect(evaporation(room).seconds).toBeCloseTo(180 / perSecond, -1);
  });

  it('a sheet of 0.3 mm is dry in about an hour in still air, in about a quarter under a dryer', () => {
    const still = sheetDriesSeconds(0.3, 1.1);
    expect(still).toBeGreaterThan(45 * 60);
    expect(still).toBeLessThan(90 * 60);
    const blown = sheetDriesSeconds(0.3, 1.1, { temperatureC: 20, humidityPct: 50, airMS: 4 });
    expect(blown).toBeGreaterThan(10 * 60);
    expect(blown).toBeLessThan(25 * 60);
  });

  it.each([
    [{ humidityPct: 100 }, 'humidityPct'],
    [{ areaM2: 0 }, 'areaM2'],
    [{ waterG: -1 }, 'waterG'],
    [{ airMS: -1 }, 'airMS'],
    [{ temperatureC: 90 }, 'temperatureC'],
  ])('%j is refused at %s', (changes, field) => {
    expect(() => evaporation({ ...room, ...changes })).toThrow(expect.objectContaining({ field }));
  });
});
