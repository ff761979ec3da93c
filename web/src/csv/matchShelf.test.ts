import type { MaterialCreate, ShelvedMaterial } from '@icy-ribbon/contract';
import { matchShelf } from './matchShelf.ts';
import { matchColumns, readCsv, readMaterials, writeMaterials } from './materialCsv.ts';

const read = (text: string) => {
  const file = readCsv(text);
  return readMaterials(file, matchColumns(file.header)).rows;
};

const shelved = (material: MaterialCreate, changes: Partial<ShelvedMaterial> = {}) =>
  ({
    ...material,
    id: material.name,
    version: 3,
    densityGPerMl: material.densityGPerMl ?? 1.2,
    densityTrust: material.densityGPerMl === undefined ? 'typical' : 'measured',
    viscosityPaS: material.viscosityPaS ?? 40,
    viscosityTrust: material.viscosityPaS === undefined ? 'typical' : 'measured',
    usedMg: 0,
    ...changes,
  }) as ShelvedMaterial;

const onShelf = read(
  'name,kind,color,density,price,pack,stock,note\nFern,fluid,#336644,1.09,9.5,100,80,"=2, old"\nMoss,fluid,,,,,,\n',
).map(({ material }) => shelved(material));

it('the saved shelf read in again changes nothing, whatever was used of it since', () => {
  const used = onShelf.map((each) => ({ ...each, usedMg: 12_000 }));
  const { fresh, changed, alike } = matchShelf(read(writeMaterials(used)), used);
  expect([fresh, changed, alike]).toEqual([[], [], 2]);
});

it('says cell by cell what the file would change, and leaves alone what it leaves empty', () => {
  const rows = read(
    'name,kind,density,viscosity,price,stock,note\nfern,fluid,1.09,3.1,10,60,\nSedge,fluid,,,,,\n',
  );
  const { fresh, changed } = matchShelf(rows, onShelf);
  expect(fresh.map(({ name }) => name)).toEqual(['Sedge']);
  expect(changed).toHaveLength(1);
  expect(changed[0]!.cells).toEqual([
    { label: 'Name', from: 'Fern', to: 'fern' },
    { label: 'Thickness, Pa·s', from: '', to: '3.1' },
    { label: 'Price of a pack', from: '9.50', to: '10.00' },
    { label: 'In stock, g', from: '80', to: '60' },
  ]);
  expect(changed[0]!.changes).toEqual({
    name: 'fern',
    viscosityPaS: 3.1,
    viscosityTrust: 'measured',
    priceCents: 1000,
    stockMg: 60_000,
  });
});

it('one of another kind is another material', () => {
  const { fresh, changed } = matchShelf(read('name,kind\nFern,artist-tube\n'), onShelf);
  expect([fresh.length, changed.length]).toEqual([1, 0]);
});
