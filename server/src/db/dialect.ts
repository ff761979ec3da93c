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
import { keepingStatements } from './statements.ts';

/** SQLite takes changes of schema back with their transaction; the stock adapter does not use that. */
class TransactionalAdapter extends SqliteAdapter {
  override get supportsTransactionalDdl(): boolean {
    return true;
  }
}

/** A transaction takes its place among the writers when it begins, so that it cannot fail half-way for another. */
class ImmediateDriver extends SqliteDriver {
  readonly #file: SqliteFile;

  constructor(file: SqliteFile) {
    super({ database: keepingStatements(file) });
    this.#file = file;
  }

  override async beginTransaction(connection: DatabaseConnection): Promise<void> {
    // One that could not be rolled back when it failed is in the way of all that follow.
    if (this.#file.inTransaction) this.#file.exec('rollback');
    await connection.executeQuery(CompiledQuery.raw('begin immediate'));
  }

  /** A full disk may have rolled back already, or hinder that, too: what went wrong first is what is said. */
  override async rollbackTransaction(connection: DatabaseConnection): Promise<void> {
    if (!this.#file.inTransaction) return;
    await super.rollbackTransaction(connection).catch(() => undefined);
  }
}

/** SQLite through better-sqlite3, with all migrations of a start in one transaction. */
export class TransactionalSqliteDialect extends SqliteDialect {
  readonly #file: SqliteFile;

  constructor(file: SqliteFile) {
    super({ database: keepingStatements(file) });
    this.#file = file;
  }

  override createAdapter(): DialectAdapter {
    return new TransactionalAdapter();
  }

  override createDriver(): Driver {
    return new ImmediateDriver(this.#file);
  }
}
