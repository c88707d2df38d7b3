import { Migration } from "@mikro-orm/migrations";
import { assembleCatalogue, type SourceProduct } from "../../core/catalogue/assemble.ts";
import { encodeCatalogue } from "../../core/catalogue/binary.ts";
import type { Field } from "../../core/catalogue/field.ts";
import { noMends } from "../../core/mend/document.ts";
import { partsOf } from "../catalogue-parts.ts";

/** Catalogues in binary form in the place of a row a product; mends over them; how their file was read. */
export class Catalogues extends Migration {
  override async up(): Promise<void> {
    await this.execute(`create table catalogue_part (
      id integer primary key autoincrement, shop_id integer not null references shop (id) on delete cascade on update cascade,
      position integer not null, bytes blob not null, unique (shop_id, position))`);
    await this.execute("alter table shop add column reading json not null default '[]'");
    await this.execute(`alter table shop add column mends json not null default '${JSON.stringify(noMends)}'`);
    await this.execute("alter table shop add column mend_version integer not null default 1");
    const shops = (await this.execute("select id, fields from shop")) as { id: number; fields: string }[];
    for (const { id, fields } of shops) {
      const rows = (await this.execute(`select ref, rows from product where shop_id = ${id} order by position`)) as { ref: string; rows: string }[];
      const products = rows.map((row): SourceProduct => ({ id: row.ref, rows: JSON.parse(row.rows) }));
      const bytes = encodeCatalogue(assembleCatalogue(JSON.parse(fields) as Field[], products));
      for (const [position, part] of partsOf(bytes).entries())
        await this.execute(
          `insert into catalogue_part (shop_id, position, bytes) values (${id}, ${position}, x'${Buffer.from(part).toString("hex")}')`,
        );
    }
    await this.execute("drop table product");
  }
}
