import type { ShelvedMaterial } from '@icy-ribbon/contract';
import { MATERIAL_KINDS, stockLeftMg } from '@icy-ribbon/core/paint/material';
import type { TableColumn } from './tableColumn.ts';

const kindOrder = new Map(MATERIAL_KINDS.map(({ kind }, index) => [kind as string, index]));

type Column = TableColumn<ShelvedMaterial>;

/** The columns of the shelf's table. */
export const COLUMNS = {
  choose: { title: '', key: 'choose' },
  name: { title: 'Name', key: 'name', sorter: (each) => each.name.toLowerCase() },
  kind: { title: 'Kind', key: 'kind', sorter: (each) => kindOrder.get(each.kind) ?? 0 },
  finish: { title: 'Finish', key: 'finish', sorter: (each) => each.finish },
  opacity: { title: 'Opacity', key: 'opacity', sorter: (each) => each.opacity },
  density: { title: 'Density', key: 'density', isNumber: true, sorter: (each) => each.densityGPerMl },
  viscosity: {
    title: 'Thickness, Pa·s',
    key: 'viscosity',
    isNumber: true,
    sorter: (each) => each.viscosityPaS,
  },
  stock: { title: 'In stock', key: 'stock', isNumber: true, sorter: (each) => stockLeftMg(each) ?? -1 },
  price: { title: 'Price', key: 'price', isNumber: true, sorter: (each) => each.priceCents ?? -1 },
  opened: { title: 'Opened', key: 'opened', sorter: (each) => each.openedOn ?? '' },
  note: { title: 'Note', key: 'note' },
  actions: { title: '', key: 'actions', isNumber: true },
} as const satisfies Record<string, Column>;

export type ColumnKey = Exclude<keyof typeof COLUMNS, 'choose' | 'name' | 'kind' | 'actions'>;

/** Columns that can be shown or left out. */
export const OPTIONAL_COLUMNS: readonly { readonly value: ColumnKey; readonly label: string }[] = (
  ['finish', 'opacity', 'density', 'viscosity', 'stock', 'price', 'opened', 'note'] as const
).map((value) => ({ value, label: COLUMNS[value].title }));

/** The columns of the table: those that are always there, and those that were chosen. */
export const columnsOf = (
  chosen: readonly ColumnKey[],
  densityUnit: string,
  isArchive: boolean,
): Column[] => [
  ...(isArchive ? [] : [COLUMNS.choose]),
  COLUMNS.name,
  COLUMNS.kind,
  ...OPTIONAL_COLUMNS.filter(({ value }) => chosen.includes(value)).map(({ value }) =>
    value === 'density' ? { ...COLUMNS.density, title: `Density, ${densityUnit}` } : COLUMNS[value],
  ),
  COLUMNS.actions,
];
