import type { Database as SqliteFile } from 'better-sqlite3';
import { SqliteAdapter, SqliteDialect, type DialectAdapter } from 'kysely';

/** SQLite takes changes of schema back with their transaction; the stock adapter does not use that. */
class TransactionalAdapter extends SqliteAdapter {
  override get supportsTransactionalDdl(): boolean {
    return true;
  }
}

/** SQLite through better-sqlite3, with all migrations of a start in one transaction. */
export class TransactionalSqliteDialect extends SqliteDialect {
  constructor(file: SqliteFile) {
    super({ database: file });
  }

  override createAdapter(): DialectAdapter {
    return new TransactionalAdapter();
  }
}
