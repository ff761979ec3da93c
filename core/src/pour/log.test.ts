import { laidMgOf, standing } from './log.ts';

const layer = (id: string, mixId: string, mg: number) => ({ id, kind: 'layer', data: { mixId, mg } });
const strike = (id: string, eventId: string) => ({ id, kind: 'void', data: { eventId } });

it('an event that was taken back no longer stands, nor does the taking back', () => {
  const log = [layer('a', 'rust', 10), layer('b', 'rain', 20), strike('c', 'a')];
  expect(standing(log).map((event) => event.id)).toEqual(['b']);
});

it('adds up what was laid of one cup', () => {
  const log = [layer('a', 'rust', 10), layer('b', 'rust', 5), layer('c', 'rain', 7), strike('d', 'b')];
  expect(laidMgOf(log, 'rust')).toBe(10);
  expect(laidMgOf(log, 'brass')).toBe(0);
});
