import { Migration } from "@mikro-orm/migrations";

/** Lines that sites send about visits, kept for a number of days, and the report of an imported file. */
export class Visits extends Migration {
  override async up(): Promise<void> {
    await this.execute("alter table shop add column visit_days integer not null default 0");
    await this.execute(`create table visit_batch (
      id integer primary key autoincrement, shop_id integer not null references shop (id) on delete cascade on update cascade,
      at datetime not null, count integer not null, size integer not null, lines text not null)`);
    await this.execute("create index visit_batch_shop on visit_batch (shop_id, at)");
    await this.execute(`create table visit_file (
      id integer primary key autoincrement, shop_id integer not null unique references shop (id) on delete cascade on update cascade,
      name text not null, at datetime not null, made_up boolean not null, report json not null)`);
  }

  override async down(): Promise<void> {
    await this.execute("drop table visit_file");
    await this.execute("drop table visit_batch");
    await this.execute("alter table shop drop column visit_days");
  }
}
