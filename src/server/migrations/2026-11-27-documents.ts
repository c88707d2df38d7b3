import { Migration } from "@mikro-orm/migrations";

interface OldShop {
  id: number;
  mends: string;
  mend_version: number;
  book: string;
  book_version: number;
}
interface OldPanel {
  slug: string;
  position: number;
  version: number;
  document: string;
  updated_at: number;
}

/** Everything that a shop has beside its catalogue as documents of one table, each with its last steps; band limits and languages for a whole shop. */
export class Documents extends Migration {
  override async up(): Promise<void> {
    await this.execute(`create table document (
      id integer primary key autoincrement, shop_id integer not null references shop (id) on delete cascade on update cascade,
      kind text not null, slug text not null, name text not null, position integer not null, version integer not null,
      body json not null, done integer not null, updated_at datetime not null, unique (shop_id, kind, slug))`);
    await this.execute(`create table step (
      id integer primary key autoincrement, document_id integer not null references document (id) on delete cascade on update cascade,
      n integer not null, words text not null, patches json not null, inverse json not null, unique (document_id, n))`);
    const shops = (await this.execute("select id, mends, mend_version, book, book_version from shop")) as OldShop[];
    for (const shop of shops) {
      const panels = (await this.execute(
        `select slug, position, version, document, updated_at from panel where shop_id = ${shop.id} order by position`,
      )) as OldPanel[];
      for (const { slug, position, version, document, updated_at } of panels)
        await this.#insert(
          shop.id,
          "panel",
          slug,
          JSON.parse(document).name ?? "",
          position,
          version,
          document,
          updated_at,
        );
      await this.#insert(shop.id, "mends", "mends", "", 0, shop.mend_version, shop.mends);
      await this.#insert(shop.id, "swatches", "swatches", "", 0, shop.book_version, shop.book);
      await this.#insert(
        shop.id,
        "shop",
        "shop",
        "",
        0,
        1,
        JSON.stringify(settingsOf(panels.map(({ document }) => JSON.parse(document)))),
      );
    }
    await this.execute("drop table panel");
    for (const column of ["mends", "mend_version", "book", "book_version"])
      await this.execute(`alter table shop drop column ${column}`);
  }

  async #insert(
    shop: number,
    kind: string,
    slug: string,
    name: string,
    position: number,
    version: number,
    body: string,
    at = Date.now(),
  ) {
    const text = (value: string) => `'${value.replaceAll("'", "''")}'`;
    await this.execute(
      `insert into document (shop_id, kind, slug, name, position, version, body, done, updated_at)
       values (${shop}, ${text(kind)}, ${text(slug)}, ${text(name)}, ${position}, ${version}, ${text(body)}, 0, ${at})`,
    );
  }
}

/** The limits of the shop's first panel, and the languages of all. */
function settingsOf(panels: readonly { limits?: unknown; languages?: string[] }[]) {
  return {
    format: 1,
    limits: panels[0]?.limits ?? { medium: 750, wide: 1000 },
    languages: [...new Set(panels.flatMap(({ languages }) => languages ?? []))].slice(0, 20),
  };
}
