import { Migration } from "@mikro-orm/migrations";

/** Shops, their products and their panels. */
export class Shops extends Migration {
  override up(): void {
    this.addSql(`create table shop (
      id integer primary key autoincrement, slug text not null unique, name text not null, currency text not null,
      fields json not null, product_count integer not null, variant_count integer not null, created_at datetime not null)`);
    this.addSql(`create table product (
      id integer primary key autoincrement, shop_id integer not null references shop (id) on delete cascade on update cascade,
      position integer not null, ref text not null, rows json not null, unique (shop_id, position))`);
    this.addSql(`create table panel (
      id integer primary key autoincrement, shop_id integer not null references shop (id) on delete cascade on update cascade,
      slug text not null, position integer not null, version integer not null, document json not null,
      updated_at datetime not null, unique (shop_id, slug))`);
  }

  override down(): void {
    for (const table of ["panel", "product", "shop"]) this.addSql(`drop table ${table}`);
  }
}
