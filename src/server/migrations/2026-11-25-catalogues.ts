import { Migration } from "@mikro-orm/migrations";
import { encodeCatalogue1, type Field1, type Product1 } from "./frozen/catalogue-1.ts";

const partBytes = 1024 * 1024;

/** Catalogues in binary form in the place of a row a product; mends over them; how their file was read. */
export class Catalogues extends Migration {
  override async up(): Promise<void> {
    await this.execute(`create table catalogue_part (
      id integer primary key autoincrement, shop_id integer not null references shop (id) on delete cascade on update cascade,
      position integer not null, bytes blob not null, unique (shop_id, position))`);
    await this.execute("alter table shop add column reading json not null default '[]'");
    await this.execute(`alter table shop add column mends json not null default '{"format":1,"mends":[]}'`);
    await this.execute("alter table shop add column mend_version integer not null default 1");
    const shops = (await this.execute("select id, fields from shop")) as { id: number; fields: string }[];
    for (const { id, fields } of shops) {
      const rows = (await this.execute(`select ref, rows from product where shop_id = ${id} order by position`)) as {
        ref: string;
        rows: string;
      }[];
      const products = rows.map((row): Product1 => ({ id: row.ref, rows: JSON.parse(row.rows) }));
      const bytes = encodeCatalogue1(JSON.parse(fields) as Field1[], products);
      for (let from = 0; from < bytes.length; from += partBytes) {
        const part = Buffer.from(bytes.subarray(from, from + partBytes)).toString("hex");
        await this.execute(
          `insert into catalogue_part (shop_id, position, bytes) values (${id}, ${from / partBytes}, x'${part}')`,
        );
      }
    }
    await this.execute("drop table product");
  }
}
