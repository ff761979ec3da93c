import { laidMgOf, inForce, logWithout } from './log.ts';

const layer = (id: string, cupId: string, mg: number) =>
  ({ id, kind: 'layer', data: { cupId, mg } }) as const;
const correct = (id: string, insteadOf: string, mg: number) =>
  ({ ...layer(id, 'rust', mg), insteadOf }) as const;
const strike = (id: string, eventId: string) => ({ id, kind: 'void', data: { eventId } }) as const;

it('an event that was taken back no longer stands, nor does the taking back', () => {
  const log = [layer('a', 'rust', 10), layer('b', 'rain', 20), strike('c', 'a')];
  expect(inForce(log).map((event) => event.id)).toEqual(['b']);
});

describe('a correction', () => {
  const log = [layer('a', 'rust', 10), layer('b', 'rain', 20), correct('c', 'a', 12)];
  const shown = (events: readonly { id: string }[]) => events.map((event) => event.id);

  it('stands in the place of what it corrects, and counts in its stead', () => {
    expect(shown(inForce(log))).toEqual(['c', 'b']);
    expect(laidMgOf(log, 'rust')).toBe(12);
  });

  it('may be corrected again; the last one stands', () => {
    expect(shown(inForce([...log, correct('d', 'c', 13)]))).toEqual(['d', 'b']);
  });

  it('taken back, what stood before stands again', () => {
    const back = [...log, correct('d', 'c', 13), strike('e', 'd')];
    expect(shown(inForce(back))).toEqual(['c', 'b']);
    expect(shown(inForce([...back, strike('f', 'c')]))).toEqual(['a', 'b']);
    expect(shown(inForce([...back, strike('f', 'c'), strike('g', 'a')]))).toEqual(['b']);
  });

  it('of an event that is not in the log stands by itself', () => {
    expect(shown(inForce([correct('x', 'lost', 3)]))).toEqual(['x']);
  });

  it('is asked for on the log without what it corrects', () => {
    expect(laidMgOf(logWithout(log, 'c'), 'rust')).toBe(0);
    expect(laidMgOf(logWithout(log, undefined), 'rust')).toBe(12);
  });
});

it('adds up what was laid of one cup', () => {
  const log = [layer('a', 'rust', 10), layer('b', 'rust', 5), layer('c', 'rain', 7), strike('d', 'b')];
  expect(laidMgOf(log, 'rust')).toBe(10);
  expect(laidMgOf(log, 'brass')).toBe(0);
});
