/** A column of a table of the shelf. */
export interface TableColumn<Row> {
  readonly key: string;
  readonly title: string;
  readonly isNumber?: boolean;
  /** What the rows are sorted by; without it, the heading sorts nothing. */
  readonly sorter?: (row: Row) => string | number;
}
