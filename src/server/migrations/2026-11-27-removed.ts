import { Migration } from "@mikro-orm/migrations";

/** Removed documents are kept for a while, so that they can be restored. */
export class Removed extends Migration {
  override async up(): Promise<void> {
    await this.execute("alter table shop add column removed_at datetime");
    await this.execute("alter table document add column removed_at datetime");
  }

  override async down(): Promise<void> {
    await this.execute("alter table document drop column removed_at");
    await this.execute("alter table shop drop column removed_at");
  }
}
