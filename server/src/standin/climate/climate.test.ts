import { openStudio } from '../../testing/studio.ts';
import { climateAt } from './climate.routes.ts';

const at = (hour: number, day = 1) => climateAt(new Date(Date.UTC(2026, 2, day, hour)));

it('the room is warmest in the afternoon and dampest at night', () => {
  const hours = Array.from({ length: 24 }, (_, hour) => ({ hour, ...at(hour) }));
  const warmest = hours.reduce((a, b) => (b.temperatureC > a.temperatureC ? b : a));
  const dampest = hours.reduce((a, b) => (b.humidityPercent > a.humidityPercent ? b : a));
  expect(warmest.hour).toBeGreaterThanOrEqual(14);
  expect(warmest.hour).toBeLessThanOrEqual(16);
  expect(dampest.hour).toBeLessThanOrEqual(5);
});

it('stays a room one can work in, all year', () => {
  for (let day = 1; day <= 365; day += 1) {
    const { temperatureC, humidityPercent } = at(day % 24, day);
    expect(temperatureC).toBeGreaterThan(17);
    expect(temperatureC).toBeLessThan(24);
    expect(humidityPercent).toBeGreaterThan(35);
    expect(humidityPercent).toBeLessThan(65);
  }
});

it('answers under its name', async () => {
  const studio = await openStudio();
  const { body } = await studio.http.get('/api/climate').expect(200);
  expect(body).toMatchObject({ name: 'Room sensor (stand-in)', temperatureC: expect.any(Number) });
  await studio.close();
});
