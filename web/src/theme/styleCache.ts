import { createCache } from 'ant-design-vue';

type StyleCache = ReturnType<typeof createCache>;
/** How many components use a style, and the style. */
type Counted = [users: number, style: unknown];

/**
 * Styles of the component kit that are kept once they are made. The kit's own cache lets go of a style with the last
 * component that has it, and makes it anew for the next page.
 */
export function lastingStyles(): StyleCache {
  const cache = createCache();
  const update = cache.update.bind(cache);
  cache.update = (path, change) =>
    update(path, (before) => {
      const after = change(before as never) as Counted | null;
      // The cache itself counts as one user, so that a style never has none.
      return (before || !after ? after : [after[0] + 1, after[1]]) as never;
    });
  return cache;
}
