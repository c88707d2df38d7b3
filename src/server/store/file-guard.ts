import { statSync } from "node:fs";
import Database from "libsql";
import { HttpError } from "../http-error.ts";

/** Interval between checks while nothing is written, in ms. */
const interval = 500;

const inodeOf = (path: string): string | undefined => {
  const stat = statSync(path, { throwIfNoEntry: false, bigint: true });
  return stat && `${stat.dev} ${stat.ino}`;
};

/**
 * Notices if an open database’s file or its log is moved, removed or replaced: later writes would be lost, or would
 * damage the file in its place. From then on every write is refused.
 */
export class FileGuard {
  readonly #file: string;
  readonly #own: Database.Database;
  readonly #inodes: ReadonlyMap<string, string | undefined>;
  readonly #timer: NodeJS.Timeout;
  readonly #onLost: (sentence: string) => void;
  #lost: string | undefined;

  /**
   * @param file its real path; open, and in WAL mode
   * @param onLost called once, with a sentence about what happened
   */
  constructor(file: string, onLost: (sentence: string) => void = () => {}) {
    this.#file = file;
    // While one connection is open SQLite keeps the same log, so a different log was put there by somebody else.
    this.#own = new Database(file);
    this.#own.exec("pragma query_only = on");
    this.#own.prepare("select count(*) from sqlite_master").all();
    this.#inodes = new Map([file, `${file}-wal`].map((path) => [path, inodeOf(path)]));
    this.#onLost = onLost;
    this.#timer = setInterval(() => this.#look(), interval).unref();
  }

  #look(): string | undefined {
    if (this.#lost !== undefined) return this.#lost;
    const path = [...this.#inodes].find(([path, inode]) => inodeOf(path) !== inode)?.[0];
    if (path === undefined) return undefined;
    this.#lost = `${path} was moved, removed or replaced while Zany Trellis was running. Nothing can be saved any more: stop the server, put the file back or restore a backup, and start it again.`;
    clearInterval(this.#timer);
    this.#onLost(this.#lost);
    return this.#lost;
  }

  /** @throws HttpError with 503 if the files have been replaced */
  check(): void {
    const lost = this.#look();
    if (lost !== undefined) throw new HttpError(503, lost, { lost: this.#file });
  }

  get isLost(): boolean {
    return this.#look() !== undefined;
  }

  close(): void {
    clearInterval(this.#timer);
    this.#own.close();
  }
}

const guards = new WeakMap<object, FileGuard>();

/** Attaches a guard to a connection. @param connection of the entity managers */
export const guardConnection = (connection: object, guard: FileGuard): void => {
  guards.set(connection, guard);
};

/** The guard of a connection; undefined for an in-memory database. */
export const guardOf = (connection: object): FileGuard | undefined => guards.get(connection);
