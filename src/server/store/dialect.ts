import { LibSqlKnexDialect } from "@mikro-orm/knex";

/** The relevant members of a pooled connection. */
export interface RawConnection {
  /** An in-memory database, which would be lost with its connection. */
  memory: boolean;
  exec(sql: string): unknown;
  /** If set, the pool closes the connection instead of reusing it. */
  __knex__disposed?: unknown;
}

interface RawTransaction {
  begin(connection: RawConnection): Promise<void>;
}

/**
 * The driver with two changes. Transactions take the write lock at once, since one that has only read can't get it
 * later if somebody else wrote meanwhile. And a connection with a failed statement is closed: it may keep that
 * statement open, and then seem to work but commit nothing.
 */
export class CarefulDialect extends LibSqlKnexDialect {
  transaction(...given: unknown[]): RawTransaction {
    const transaction: RawTransaction = super.transaction(...given);
    // Sent on the connection itself: the transaction's own method would take a refusal for an end and continue
    // without one.
    transaction.begin = async (connection) => {
      await careful(connection, () => beginAtOnce(connection));
    };
    return transaction;
  }

  override async _query(connection: RawConnection, query: unknown): Promise<unknown> {
    return careful(connection, () => super._query(connection, query));
  }
}

/** Takes the write lock or fails at once: waiting in the driver would block the whole thread. */
function beginAtOnce(connection: RawConnection): void {
  connection.exec("pragma busy_timeout = 0");
  connection.exec("begin immediate");
  connection.exec(busyTimeout);
}

/** Time that a read waits for another program, which is rare in WAL mode. */
export const busyTimeout = "pragma busy_timeout = 250";

/** Uses a connection, and closes it if that fails. */
async function careful<T>(connection: RawConnection, task: () => T): Promise<Awaited<T>> {
  try {
    return await task();
  } catch (error) {
    if (!connection.memory) connection.__knex__disposed = error;
    throw error;
  }
}
