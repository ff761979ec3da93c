import { decodeText } from './decodeText.ts';
import { matchColumns, MOST_ROWS, readCsv, readMaterials } from './materialCsv.ts';

const CSV = 'name;kind;note\nGrün;fluid;für «Flechte»\n';
const utf8 = (text: string) => new Uint8Array(Buffer.from(text, 'utf8'));
const utf16 = (text: string, withMark: boolean) =>
  new Uint8Array(Buffer.from((withMark ? '\uFEFF' : '') + text, 'utf16le'));
const swapped = (bytes: Uint8Array) => {
  const copy = Buffer.from(bytes);
  copy.swap16();
  return new Uint8Array(copy);
};
const latin1 = (text: string) => new Uint8Array(Buffer.from(text, 'latin1'));

describe('a table is read right whatever program wrote it', () => {
  it.each([
    ['UTF-8', utf8(CSV), 'UTF-8'],
    ['UTF-8 with a mark', utf8(`\uFEFF${CSV}`), 'UTF-8'],
    ['UTF-16 with a mark', utf16(CSV, true), 'UTF-16'],
    ['UTF-16 turned round, with a mark', swapped(utf16(CSV, true)), 'UTF-16'],
    ['UTF-16 without a mark', utf16(CSV, false), 'UTF-16'],
    ['UTF-16 turned round, without a mark', swapped(utf16(CSV, false)), 'UTF-16'],
    ['Latin-1', latin1(CSV), 'Latin-1'],
  ] as const)('%s', (_, bytes, encoding) => {
    const decoded = decodeText(bytes);
    expect(decoded.encoding).toBe(encoding);
    const file = readCsv(decoded.text);
    const { rows, errors } = readMaterials(file, matchColumns(file.header));
    expect(errors).toEqual([]);
    expect(rows[0]?.material).toMatchObject({ name: 'Grün', kind: 'fluid', note: 'für «Flechte»' });
  });

  it('an empty file is an empty table', () => {
    expect(readCsv(decodeText(new Uint8Array()).text)).toEqual({ header: [], rows: [] });
  });
});

describe('long tables', () => {
  const table = (rows: number) =>
    `name,kind\n${Array.from({ length: rows }, (_, row) => `Row ${row},fluid`).join('\n')}`;

  it('a hundred thousand rows are refused before they are looked at', () => {
    expect(() => readCsv(table(100_000))).toThrow(/20,000 rows: split it/);
    expect(readCsv(table(MOST_ROWS)).rows).toHaveLength(MOST_ROWS);
  });

  it('how far they are read is told on the way', () => {
    const told: number[] = [];
    const file = readCsv(table(2000));
    readMaterials(file, matchColumns(file.header), [], (share) => told.push(share));
    expect(told).toEqual([0, 0.25, 0.5, 0.75]);
  });
});
