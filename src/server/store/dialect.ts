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
  begin(connection: RawConnection): Promise<void>;
}

/**
 * The driver with two habits of its own. Transactions take the write lock at once, since one that has read first
 * cannot be given it later when somebody else wrote meanwhile. And a connection on which a statement has failed
 * is closed: it can keep that statement open, and then answers well to everything and commits nothing.
 */
export class CarefulDialect extends LibSqlKnexDialect {
  transaction(...given: unknown[]): RawTransaction {
    const transaction: RawTransaction = super.transaction(...given);
    // Said to the connection itself: the transaction's own way would take a refusal for an end and go on without one.
    transaction.begin = async (connection) => {
      await careful(connection, () => beginAtOnce(connection));
    };
    return transaction;
  }

  override async _query(connection: RawConnection, query: unknown): Promise<unknown> {
    return careful(connection, () => super._query(connection, query));
  }
}

/** Takes the write lock or fails at once: the driver would hold up the whole thread while it waits. */
function beginAtOnce(connection: RawConnection): void {
  connection.exec("pragma busy_timeout = 0");
  connection.exec("begin immediate");
  connection.exec(busyTimeout);
}

/** How long a read waits for another program, which hardly ever happens in WAL mode. */
export const busyTimeout = "pragma busy_timeout = 250";

/** Does something on a connection, which is closed afterwards if it failed. */
async function careful<T>(connection: RawConnection, task: () => T): Promise<Awaited<T>> {
  try {
    return await task();
  } catch (error) {
    if (!connection.memory) connection.__knex__disposed = error;
    throw error;
  }
}
