import { lastingStyles } from './styleCache.ts';

type Counted = [number, string] | undefined;

it('a style is made once, and is there still after the last component that had it', () => {
  const cache = lastingStyles();
  let made = 0;
  const mount = () =>
    cache.update('button', ((before: Counted) => [
      (before?.[0] ?? 0) + 1,
      before?.[1] ?? `style ${++made}`,
    ]) as never);
  // As the kit lets go of one: nothing is left of it when nobody has it.
  const unmount = () =>
    cache.update('button', ((before: Counted) =>
      before && before[0] > 1 ? [before[0] - 1, before[1]] : null) as never);
  mount();
  mount();
  unmount();
  unmount();
  expect(cache.get('button')).toEqual([1, 'style 1']);
  mount();
  expect(made).toBe(1);
});
