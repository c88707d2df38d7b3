import { copyFileSync, existsSync, mkdirSync, renameSync, rmSync } from "node:fs";
import { dirname } from "node:path";
import Database from "libsql";

/** Files that SQLite keeps beside a database. */
const besides = (file: string): string[] => [`${file}-wal`, `${file}-shm`];

/**
 * Writes all of a database into one other file, while whoever has it open goes on. The file is there whole or not at all.
 * @throws Error where there is a file already, or it can't be written
 */
export function backUp(file: string, out: string): void {
  if (existsSync(out)) throw new Error(`${out} is there already. Name another file.`);
  mkdirSync(dirname(out), { recursive: true });
  const part = `${out}.part`;
  rmSync(part, { force: true });
  const database = new Database(file);
  try {
    database.exec("pragma busy_timeout = 5000");
    database.prepare("vacuum into ?").run(part);
  } finally {
    database.close();
  }
  renameSync(part, out);
}

/** Puts a backup in a database's place. What was there is kept beside it. @returns where that is; undefined where there was none */
export function bringBack(from: string, file: string): string | undefined {
  mkdirSync(dirname(file), { recursive: true });
  const part = `${file}.part`;
  copyFileSync(from, part);
  const kept = existsSync(file) ? freeName(`${file}.before-restore`) : undefined;
  if (kept) backUp(file, kept);
  for (const beside of besides(file)) rmSync(beside, { force: true });
  renameSync(part, file);
  return kept;
}

/** A name that no file has. */
export function freeName(wanted: string): string {
  for (let n = 1; ; n++) {
    const name = n === 1 ? wanted : `${wanted}-${n}`;
    if (!existsSync(name)) return name;
  }
}
