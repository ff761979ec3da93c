import { allPages } from './allPages.ts';

const numbers = Array.from({ length: 2500 }, (_, index) => index);
const asked: number[] = [];
const ask = ({ page, pageSize }: { page: number; pageSize: number }) => {
  asked.push(page);
  const items = numbers.slice((page - 1) * pageSize, page * pageSize);
  // One record cannot be read.
  return Promise.resolve({ items: items.filter((each) => each !== 7), total: numbers.length });
};

it('a long list is read page by page, whole, also when a record of it cannot be read', async () => {
  expect(await allPages(ask)).toEqual(numbers.filter((each) => each !== 7));
  expect(asked).toEqual([1, 2, 3]);
});

it('an empty list is one page', async () => {
  expect(await allPages(() => Promise.resolve({ items: [], total: 0 }))).toEqual([]);
});
