import { Migration } from "@mikro-orm/migrations";

/** A swatch book a shop, and the pictures that it shows. */
export class SwatchBooks extends Migration {
  override up(): void {
    this.addSql(
      `alter table shop add column book json not null default '{"format":1,"shared":{},"own":{},"photos":{},"order":{},"limit":5}'`,
    );
    this.addSql("alter table shop add column book_version integer not null default 1");
    this.addSql(`create table picture (
      id integer primary key autoincrement, shop_id integer not null references shop (id) on delete cascade on update cascade,
      name text not null, type text not null, bytes blob not null, unique (shop_id, name))`);
  }
}
