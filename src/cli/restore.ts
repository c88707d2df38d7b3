import { existsSync } from "node:fs";
import { parseArgs } from "node:util";
import type { Command } from "./command.ts";
import { UsageError } from "./usage-error.ts";

/** A backup in the place of the database. */
export const restore: Command = {
  name: "restore",
  about: "Replaces all shops with a backup; keeps the old file beside it. Stop the server first.",
  usage: "trellis restore --from FILE [--data FILE]",
  options: [
    ["--from FILE", "Backup to restore"],
    ["--data FILE", "Database to replace", "data/trellis.db"],
  ],
  example: "trellis restore --from ./shops-2026-11-28.db",
  async run(args) {
    const { values } = parseArgs({ args, options: { from: { type: "string" }, data: { type: "string" } } });
    const { from } = values;
    if (from === undefined) throw new UsageError(`Name a backup. Usage: ${restore.usage}`);
    if (!existsSync(from)) throw new UsageError(`There is no file ${from}. Check the name.`);
    const [{ defaultDatabase, withLockedFile }, { restoreBackup }, { migrationNames }, { realFile }] =
      await Promise.all([
        import("./database.ts"),
        import("../server/store/backup.ts"),
        import("../server/store/database.ts"),
        import("../server/disk/files.ts"),
      ]);
    const named = values.data ?? defaultDatabase;
    return withLockedFile(named, async () => {
      try {
        const file = realFile(named);
        if (realFile(from) === file) throw new UsageError(`${from} is the database itself. Name a backup of it.`);
        const kept = restoreBackup(from, file, migrationNames);
        return { text: kept ? `The old file is now ${kept}` : "", status: 0 };
      } catch (error) {
        throw new UsageError((error as Error).message);
      }
    });
  },
};
