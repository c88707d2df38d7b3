import { existsSync } from "node:fs";
import { parseArgs } from "node:util";
import type { Command } from "./command.ts";
import { UsageError } from "./usage-error.ts";

/** A backup in the place of the database. */
export const restore: Command = {
  name: "restore",
  about: "Puts a backup in the place of all shops; what was there is kept beside it. The tool must be stopped.",
  usage: "trellis restore --from FILE [--data FILE]",
  example: "trellis restore --from ./shops-2026-11-28.db",
  async run(args) {
    const { values } = parseArgs({ args, options: { from: { type: "string" }, data: { type: "string" } } });
    const { from } = values;
    if (from === undefined) throw new UsageError(`Name a backup. Usage: ${restore.usage}`);
    if (!existsSync(from)) throw new UsageError(`There is no file ${from}.`);
    const [{ usualDatabase, holding }, { bringBack }, { checkFile }, { migrationNames }] = await Promise.all([
      import("./database.ts"),
      import("../server/store/backup.ts"),
      import("../server/store/check-file.ts"),
      import("../server/store/database.ts"),
    ]);
    const file = values.data ?? usualDatabase;
    return holding(file, async () => {
      try {
        checkFile(from, migrationNames);
        const kept = bringBack(from, file);
        return { text: kept ? `What was there is ${kept}` : "", status: 0 };
      } catch (error) {
        throw new UsageError((error as Error).message);
      }
    });
  },
};
