import { Migration } from "@mikro-orm/migrations";

/** Published editions: each names its files by their content, which is stored once however many have it. */
export class Editions extends Migration {
  override async up(): Promise<void> {
    await this.execute("create table content (hash text primary key, bytes blob not null)");
    await this.execute(`create table edition (
      id integer primary key autoincrement, shop_id integer not null references shop (id) on delete cascade on update cascade,
      n integer not null, note text not null, created_at datetime not null, files json not null, variant_count integer not null,
      name text not null, currency text not null, unique (shop_id, n))`);
  }

  override async down(): Promise<void> {
    await this.execute("drop table edition");
    await this.execute("drop table content");
  }
}
