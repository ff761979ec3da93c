/** Common sheets of labels: columns and rows, and the size of one, mm (sizes are common in the trade of stationery). */
export const LABEL_SHEETS = [
  {
    key: '70x37',
    columns: 3,
    rows: 8,
    widthMm: 70,
    heightMm: 37,
    page: 'A4',
  },
  {
    key: '99x38',
    columns: 2,
    rows: 7,
    widthMm: 99,
    heightMm: 38.1,
    page: 'A4',
  },
  {
    key: '99x68',
    columns: 2,
    rows: 4,
    widthMm: 99,
    heightMm: 67.7,
    page: 'A4',
  },
  {
    key: '67x25',
    columns: 3,
    rows: 10,
    widthMm: 66.7,
    heightMm: 25.4,
    page: 'letter',
  },
] as const;
export type LabelSheet = (typeof LABEL_SHEETS)[number];

const PAGES_MM = { A4: { width: 210, height: 297 }, letter: { width: 215.9, height: 279.4 } } as const;

/** Where the labels of a sheet begin, so that they stand in the middle of the page, mm. */
export function sheetMargins({ columns, rows, widthMm, heightMm, page }: LabelSheet) {
  const paper = PAGES_MM[page];
  return {
    pageWidthMm: paper.width,
    pageHeightMm: paper.height,
    leftMm: Math.max(0, (paper.width - columns * widthMm) / 2),
    topMm: Math.max(0, (paper.height - rows * heightMm) / 2),
  };
}

/** Labels page by page, some places of the first sheet left empty because they were used before. */
export function pagesOf<Item>(items: readonly Item[], sheet: LabelSheet, skip: number): (Item | null)[][] {
  const each = sheet.columns * sheet.rows;
  const all: (Item | null)[] = [
    ...Array.from({ length: Math.max(0, Math.min(each - 1, skip)) }, () => null),
    ...items,
  ];
  return Array.from({ length: Math.ceil(all.length / each) }, (_, page) =>
    all.slice(page * each, (page + 1) * each),
  );
}
