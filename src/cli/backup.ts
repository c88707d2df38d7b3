import { parseArgs } from "node:util";
import type { Command } from "./command.ts";
import { UsageError } from "./usage-error.ts";

/** The whole database as one file, while the server runs. */
export const backup: Command = {
  name: "backup",
  about: "Writes all shops into one file, while the tool runs.",
  usage: "trellis backup --out FILE [--data FILE]",
  options: [
    ["--out FILE", "File to write"],
    ["--data FILE", "Database to back up", "data/trellis.db"],
  ],
  example: "trellis backup --out ./shops-2026-11-28.db",
  async run(args) {
    const { values } = parseArgs({ args, options: { out: { type: "string" }, data: { type: "string" } } });
    if (values.out === undefined) throw new UsageError(`Name a file to write. Usage: ${backup.usage}`);
    const [{ defaultDatabase, pendingMigrations }, { backUp }] = await Promise.all([
      import("./database.ts"),
      import("../server/store/backup.ts"),
    ]);
    const file = values.data ?? defaultDatabase;
    // One that waits for migrations can be backed up as well.
    pendingMigrations(file);
    try {
      backUp(file, values.out);
    } catch (error) {
      throw new UsageError((error as Error).message);
    }
    return { text: values.out, status: 0 };
  },
};
