export interface Page {
  readonly page: number;
  readonly pageSize: number;
}

/** Which rows a page holds, for `limit` and `offset`. */
export const rowsOf = ({ page, pageSize }: Page): { readonly limit: number; readonly offset: number } => ({
  limit: pageSize,
  offset: (page - 1) * pageSize,
});
/** Every row there is. */
export const ALL: Page = { page: 1, pageSize: 1_000_000 };
