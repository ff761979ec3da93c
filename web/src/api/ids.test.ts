import { makeIdsEverywhere } from './ids.ts';

it('where the browser makes no ids, they are made of its random numbers: version 4, all different', () => {
  const original = crypto.randomUUID;
  try {
    Object.defineProperty(crypto, 'randomUUID', { value: undefined, configurable: true, writable: true });
    makeIdsEverywhere();
    const ids = Array.from({ length: 200 }, () => crypto.randomUUID());
    for (const id of ids) {
      expect(id).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
    }
    expect(new Set(ids).size).toBe(200);
  } finally {
    Object.defineProperty(crypto, 'randomUUID', { value: original, configurable: true, writable: true });
  }
});
