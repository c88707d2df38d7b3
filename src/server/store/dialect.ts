import { LibSqlKnexDialect } from "@mikro-orm/knex";

/** A connection of the pool, as far as it matters here. */
export interface RawConnection {
  /** It holds the whole database, which would be gone with it. */
  memory: boolean;
  exec(sql: string): unknown;
  /** Set, the pool closes the connection instead of handing it out again. */
  __knex__disposed?: unknown;
}

interface RawTransaction {
  begin(connection: RawConnection): unknown;
  query(connection: RawConnection, sql: string): unknown;
}

/**
 * The driver with two habits of its own. Transactions take the write lock at once, since one that has read first
 * cannot be given it later when somebody else wrote meanwhile. And a connection on which a statement has failed
 * is closed: it can keep that statement open, and then answers well to everything and commits nothing.
 */
export class CarefulDialect extends LibSqlKnexDialect {
  transaction(...given: unknown[]): RawTransaction {
    const transaction: RawTransaction = super.transaction(...given);
    transaction.begin = (connection) => transaction.query(connection, "begin immediate;");
    return transaction;
  }

  override async _query(connection: RawConnection, query: unknown): Promise<unknown> {
    try {
      return await super._query(connection, query);
    } catch (error) {
      if (!connection.memory) connection.__knex__disposed = error;
      throw error;
    }
  }
}
