import { Migration } from "@mikro-orm/migrations";

/** Copies of the draft that are shared for review, and the notes pinned to them. */
export class Previews extends Migration {
  override async up(): Promise<void> {
    await this.execute(`create table preview (
      id integer primary key autoincrement, shop_id integer not null references shop (id) on delete cascade on update cascade,
      key text not null unique, created_at datetime not null, ended_at datetime, files json not null,
      variant_count integer not null, name text not null, currency text not null)`);
    await this.execute("create index preview_shop on preview (shop_id)");
    await this.execute(`create table preview_note (
      id integer primary key autoincrement, preview_id integer not null references preview (id) on delete cascade on update cascade,
      name text not null, text text not null, place json not null, created_at datetime not null,
      answer text not null, done_at datetime)`);
    await this.execute("create index preview_note_preview on preview_note (preview_id)");
  }

  override async down(): Promise<void> {
    await this.execute("drop table preview_note");
    await this.execute("drop table preview");
  }
}
