import type { ShelvedMaterial } from '@icy-ribbon/contract';
import { matchColumns, readCsv, readMaterials, writeMaterials, type CsvEdit } from './materialCsv.ts';

const read = (text: string, edits: CsvEdit[] = []) => {
  const file = readCsv(text);
  const { rows, errors } = readMaterials(file, matchColumns(file.header), edits);
  return { rows, errors, materials: rows.map(({ material }) => material) };
};

it('reads a file with a byte-order mark, semicolons and commas as decimal marks', () => {
  const { materials, errors } = read(
    '\uFEFFName;Kind;Hex;Density;Thickness;Price;Stock\r\nRust;Artist tube paint;#9C4A2C;1,35;47,5;12,90;118,5\r\n',
  );
  expect(errors).toEqual([]);
  expect(materials[0]).toMatchObject({
    name: 'Rust',
    kind: 'artist-tube',
    colorHex: '#9c4a2c',
    densityGPerMl: 1.35,
    viscosityPaS: 47.5,
    priceCents: 1290,
    stockMg: 118_500,
  });
});

it('reads quoted cells with separators and line breaks inside', () => {
  const { materials } = read('name,kind,note\n"Slate, dark",fluid,"two\nlines"\n');
  expect(materials[0]).toMatchObject({ name: 'Slate, dark', note: 'two\nlines' });
});

it('says line and column of everything that is wrong, and gives nothing of such a row', () => {
  const { materials, errors } = read(
    'name,kind,density,opened\nRust,tar,1.3,\n,fluid,12o,\nFoam,fluid,1.1,March\nFern,fluid,,\n',
  );
  expect(materials.map((each) => each.name)).toEqual(['Fern']);
  expect(errors.map(({ line, column }) => `${line} ${column}`)).toEqual([
    '2 kind',
    '3 density',
    '3 name',
    '4 opened',
  ]);
  expect(errors[1]?.message).toBe('"12o" is no number.');
});

it('a cell is set right where it stands, one that the file does not have too', () => {
  const edits: CsvEdit[] = [
    { line: 2, field: 'density_g_per_ml', text: '1,1' },
    { line: 2, field: 'kind', text: 'Fluid acrylic' },
  ];
  expect(read('name,density\nReed,1.1x\n').errors.map(({ field }) => field)).toEqual([
    'density_g_per_ml',
    'kind',
  ]);
  const { materials, errors } = read('name,density\nReed,1.1x\n', [
    edits[0]!,
    { ...edits[1]!, text: 'fluid' },
  ]);
  expect(errors).toEqual([]);
  expect(materials).toMatchObject([{ name: 'Reed', kind: 'fluid', densityGPerMl: 1.1 }]);
});

it('a second row of the same kind and name asks which is right', () => {
  const { materials, errors } = read('name,kind\nReed,fluid\nReed,artist-tube\nREED ,fluid\n');
  expect(materials.map(({ kind }) => kind)).toEqual(['fluid', 'artist-tube']);
  expect(errors).toMatchObject([{ line: 4, field: 'name', message: expect.stringContaining('Line 2') }]);
});

it('a column that is not known stays out, and can be matched by hand', () => {
  const file = readCsv('what,kind\nMoss,fluid\n');
  expect(matchColumns(file.header).name).toBeNull();
  const { rows } = readMaterials(file, { ...matchColumns(file.header), name: 0 });
  expect(rows[0]?.material.name).toBe('Moss');
});

it('10,000 rows are read, wrong ones found among them', () => {
  const rows = Array.from({ length: 10_000 }, (_, index) =>
    `Paint ${index},fluid,${index === 7_000 ? 'x' : '1,1'}`.replace('1,1', '"1,1"'),
  );
  const { materials, errors } = read(`name,kind,density\n${rows.join('\n')}`);
  expect(materials).toHaveLength(9_999);
  expect(errors).toMatchObject([
    { line: 7_002, column: 'density', field: 'density_g_per_ml', text: 'x', message: '"x" is no number.' },
  ]);
});

it('what goes out comes in again', () => {
  const { materials } = read(
    'name,kind,color,dry_color,finish,opacity,pigment,density,viscosity,price,pack_g,stock_g,opened_on,note\n' +
      'Brass,artist-tube,#b08d3e,#a9853a,metallic,opaque,metallic,1.151,44,9.5,120,80.25,2026-02-01,"=1+1, strained"\n' +
      'Water,water,,,,,,,,,,,,\n',
  );
  const shelved = materials.map((each) => ({
    ...each,
    densityTrust: each.densityGPerMl === undefined ? 'typical' : 'measured',
    viscosityTrust: each.viscosityPaS === undefined ? 'typical' : 'measured',
    usedMg: 0,
  })) as unknown as ShelvedMaterial[];
  const again = read(writeMaterials(shelved)).materials;
  expect(again).toEqual(materials);
});
