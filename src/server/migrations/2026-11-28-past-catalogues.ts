import { Migration } from "@mikro-orm/migrations";

/** Replaced catalogues are kept for a while; and each shop knows the file that it came from. */
export class PastCatalogues extends Migration {
  override async up(): Promise<void> {
    await this.execute("alter table shop add column hash text");
    await this.execute(`create table past_catalogue (
      id integer primary key autoincrement, shop_id integer not null references shop (id) on delete cascade on update cascade,
      replaced_at datetime not null, words text not null, next_count integer not null, fields json not null,
      product_count integer not null, variant_count integer not null, reading json not null, hash text,
      mends json not null, swatches json not null)`);
    await this.execute("create index past_catalogue_shop on past_catalogue (shop_id)");
    await this.execute(`create table past_part (
      id integer primary key autoincrement, past_id integer not null references past_catalogue (id) on delete cascade on update cascade,
      position integer not null, bytes blob not null, unique (past_id, position))`);
  }

  override async down(): Promise<void> {
    await this.execute("drop table past_part");
    await this.execute("drop table past_catalogue");
    await this.execute("alter table shop drop column hash");
  }
}
