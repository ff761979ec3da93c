import type { Database as SqliteFile } from 'better-sqlite3';
import {
  CompiledQuery,
  SqliteAdapter,
  SqliteDialect,
  SqliteDriver,
  type DatabaseConnection,
  type DialectAdapter,
  type Driver,
} from 'kysely';

/** SQLite takes changes of schema back with their transaction; the stock adapter does not use that. */
class TransactionalAdapter extends SqliteAdapter {
  override get supportsTransactionalDdl(): boolean {
    return true;
  }
}

/** A transaction takes its place among the writers when it begins, so that it cannot fail half-way for another. */
class ImmediateDriver extends SqliteDriver {
  override async beginTransaction(connection: DatabaseConnection): Promise<void> {
    await connection.executeQuery(CompiledQuery.raw('begin immediate'));
  }
}

/** SQLite through better-sqlite3, with all migrations of a start in one transaction. */
export class TransactionalSqliteDialect extends SqliteDialect {
  readonly #file: SqliteFile;

  constructor(file: SqliteFile) {
    super({ database: file });
    this.#file = file;
  }

  override createAdapter(): DialectAdapter {
    return new TransactionalAdapter();
  }

  override createDriver(): Driver {
    return new ImmediateDriver({ database: this.#file });
  }
}
