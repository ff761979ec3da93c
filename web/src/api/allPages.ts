interface Page<Item> {
  readonly items: readonly Item[];
  readonly total: number;
}

/** Everything of a list that the server gives a page at a time. */
export async function allPages<Item>(
  page: (query: { page: number; pageSize: number }) => Promise<Page<Item>>,
  pageSize = 1000,
): Promise<Item[]> {
  const items: Item[] = [];
  for (let number = 1; ; number += 1) {
    const { items: more, total } = await page({ page: number, pageSize });
    items.push(...more);
    // A record that cannot be read is left out of its page: the page tells the end, not the count.
    if (number * pageSize >= total) return items;
  }
}
