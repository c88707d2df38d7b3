import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { repository } from "../src/server/repository.ts";
import { seedDemo } from "../src/server/seed.ts";
import { closeDatabase, openDatabase } from "../src/server/store/database.ts";

/** A database file of its own with the demo shop in it. */
export async function demoDatabase() {
  const folder = mkdtempSync(join(tmpdir(), "trellis-demo-"));
  const file = join(folder, "shops.db");
  const orm = await openDatabase(file);
  await seedDemo(orm, repository);
  return {
    file,
    orm,
    async close() {
      await closeDatabase(orm);
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
