import Database from "libsql";

/** Takes the write lock of a database as another program would. @returns when it is free again, after so many ms */
export function holdWriteLock(file: string, ms: number): Promise<void> {
  const other = new Database(file);
  other.exec("begin immediate");
  return new Promise((done) =>
    setTimeout(() => {
      other.exec("rollback");
      other.close();
      done();
    }, ms),
  );
}
