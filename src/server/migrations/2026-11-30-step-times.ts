import { Migration } from "@mikro-orm/migrations";

/** Steps have times, so that undo goes back in one order over all documents, also after a restart. */
export class StepTimes extends Migration {
  override async up(): Promise<void> {
    await this.execute("alter table step add column at integer not null default 0");
  }

  override async down(): Promise<void> {
    await this.execute("alter table step drop column at");
  }
}
