import { filmVerdict } from './film.ts';

describe('weak films (common practice; idea of the critical pigment volume, Asbeck & Van Loo 1949)', () => {
  it('tube paint in conditioner holds together', () => {
    const film = filmVerdict([
      { kind: 'flow-conditioner', massG: 30 },
      { kind: 'artist-tube', massG: 15 },
      { kind: 'water', massG: 11 },
    ]);
    expect(film.weak).toBe(false);
    expect(film.binderShare).toBeGreaterThan(0.6);
  });

  it('craft paint in water alone does not, and medium mends it', () => {
    const alone = filmVerdict([
      { kind: 'craft', massG: 10 },
      { kind: 'water', massG: 5 },
    ]);
    expect(alone).toMatchObject({ weak: true, reason: expect.stringContaining('pouring medium') });
    const mended = filmVerdict([
      { kind: 'craft', massG: 10 },
      { kind: 'water', massG: 5 },
      { kind: 'pouring-medium', massG: 4 },
    ]);
    expect(mended.weak).toBe(false);
  });

  it('water does not change the share of binder', () => {
    const dry = filmVerdict([{ kind: 'artist-tube', massG: 10 }]).binderShare;
    expect(
      filmVerdict([
        { kind: 'artist-tube', massG: 10 },
        { kind: 'water', massG: 90 },
      ]).binderShare,
    ).toBe(dry);
  });
});
