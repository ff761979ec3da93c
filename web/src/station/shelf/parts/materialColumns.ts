import type { ShelvedMaterial } from '@icy-ribbon/contract';
import { MATERIAL_KINDS } from '@icy-ribbon/core/paint/material';
import type { TableColumnType } from 'ant-design-vue';
import { stockLeftMg } from '@icy-ribbon/core/paint/material';

const kindOrder = new Map(MATERIAL_KINDS.map(({ kind }, index) => [kind as string, index]));

const by =
  <Value extends string | number>(read: (material: ShelvedMaterial) => Value) =>
  (a: ShelvedMaterial, b: ShelvedMaterial) =>
    read(a) < read(b) ? -1 : read(a) > read(b) ? 1 : 0;

type Column = TableColumnType<ShelvedMaterial>;

/** The columns of the shelf's table. */
export const COLUMNS = {
  choose: { title: '', key: 'choose', width: 44 },
  name: { title: 'Name', key: 'name', sorter: by((each) => each.name.toLowerCase()) },
  kind: {
    title: 'Kind',
    key: 'kind',
    sorter: by((each) => kindOrder.get(each.kind) ?? 0),
    defaultSortOrder: 'ascend',
  },
  finish: { title: 'Finish', key: 'finish', dataIndex: 'finish', sorter: by((each) => each.finish) },
  opacity: { title: 'Opacity', key: 'opacity', dataIndex: 'opacity', sorter: by((each) => each.opacity) },
  density: {
    title: 'Density',
    key: 'density',
    align: 'right',
    sorter: by((each) => each.densityGPerMl),
  },
  viscosity: {
    title: 'Thickness, Pa·s',
    key: 'viscosity',
    align: 'right',
    sorter: by((each) => each.viscosityPaS),
  },
  stock: { title: 'In stock', key: 'stock', align: 'right', sorter: by((each) => stockLeftMg(each) ?? -1) },
  price: { title: 'Price', key: 'price', align: 'right', sorter: by((each) => each.priceCents ?? -1) },
  opened: {
    title: 'Opened',
    key: 'opened',
    dataIndex: 'openedOn',
    sorter: by((each) => each.openedOn ?? ''),
  },
  note: { title: 'Note', key: 'note', dataIndex: 'note' },
  actions: { title: '', key: 'actions', align: 'right' },
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
): (Column | (typeof COLUMNS)[keyof typeof COLUMNS])[] => [
  ...(isArchive ? [] : [COLUMNS.choose]),
  COLUMNS.name,
  COLUMNS.kind,
  ...OPTIONAL_COLUMNS.filter(({ value }) => chosen.includes(value)).map(({ value }) =>
    value === 'density' ? { ...COLUMNS.density, title: `Density, ${densityUnit}` } : COLUMNS[value],
  ),
  COLUMNS.actions,
];
