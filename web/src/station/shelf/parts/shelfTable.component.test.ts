/** @jest-environment jsdom */
import { flushPromises, mount } from '@vue/test-utils';
import ShelfTable from './ShelfTable.vue';

interface Row {
  readonly id: string;
  readonly name: string;
  readonly grams: number;
}
const ROWS: readonly Row[] = [
  { id: 'a', name: 'Oyster', grams: 9 },
  { id: 'b', name: 'Brass', grams: 60 },
  { id: 'c', name: 'Rust', grams: 9 },
];
const COLUMNS = [
  { key: 'name', title: 'Name', sorter: (row: Row) => row.name },
  { key: 'grams', title: 'In stock', isNumber: true, sorter: (row: Row) => row.grams },
  { key: 'actions', title: '' },
];

function table(rows: readonly Row[] = ROWS) {
  const found = mount(ShelfTable, {
    props: { columns: COLUMNS, rows, empty: 'Nothing here.', sortedBy: 'name' },
    slots: { cell: ({ column, row }: { column: string; row: Row }) => String(row[column as 'name'] ?? '') },
  });
  return {
    found,
    names: () => found.findAll('tbody tr').map((row) => row.find('td').text()),
    sorted: () => found.findAll('th').map((head) => head.attributes('aria-sort')),
    press: (at: number) => found.findAll('th button')[at]!.trigger('click'),
  };
}

it('a heading sorts upward, then downward, then no more', async () => {
  const { names, sorted, press } = table();
  expect(names()).toEqual(['Brass', 'Oyster', 'Rust']);
  expect(sorted()).toEqual(['ascending', undefined, undefined]);
  await press(1);
  // Those that are alike stay in the order they came in.
  expect(names()).toEqual(['Oyster', 'Rust', 'Brass']);
  await press(1);
  expect(names()).toEqual(['Brass', 'Oyster', 'Rust']);
  expect(sorted()).toEqual([undefined, 'descending', undefined]);
  await press(1);
  expect(names()).toEqual(['Oyster', 'Brass', 'Rust']);
});

it('a column without an order has no button', () => {
  expect(table().found.findAll('th button')).toHaveLength(2);
});

it('rows that come and go are drawn; an empty table says so', async () => {
  const { found, names } = table();
  await found.setProps({ rows: ROWS.slice(1) } as object);
  expect(names()).toEqual(['Brass', 'Rust']);
  await found.setProps({ rows: [] } as object);
  expect(found.text()).toContain('Nothing here.');
});

it('a long shelf is drawn in pages of a hundred', async () => {
  window.matchMedia = () => ({ matches: false, addListener() {}, removeListener() {} }) as never;
  const rows = Array.from({ length: 250 }, (_, at) => ({
    id: String(at),
    name: String(1000 + at),
    grams: at,
  }));
  const { found, names } = table(rows);
  expect(names()).toHaveLength(100);
  expect(names().at(-1)).toBe('1099');
  await flushPromises();
  await found.get('.ant-pagination-item-3').trigger('click');
  expect(names()).toHaveLength(50);
  expect(names()[0]).toBe('1200');
});
