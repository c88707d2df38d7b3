import { Migration } from "@mikro-orm/migrations";
import { migratePanel } from "../../core/panel/migrate.ts";

/** Panels in format 2. */
export class PanelFormat2 extends Migration {
  override async up(): Promise<void> {
    const panels = (await this.execute("select id, document from panel")) as { id: number; document: string }[];
    for (const { id, document } of panels) {
      const text = JSON.stringify(migratePanel(JSON.parse(document))).replaceAll("'", "''");
      await this.execute(`update panel set document = '${text}' where id = ${id}`);
    }
  }
}
