import crossfilter from "crossfilter2";
import itemsjs from "itemsjs";
import Database from "libsql";
import type { SourceProduct } from "../src/core/catalogue/assemble.ts";
import { fieldKeys, type Picks } from "./synthetic.ts";

/** Field → value → products, with each field's own choice left out. */
export type Counts = Record<string, Record<string, number>>;

/** Another way to get the same counts. Preparing is timed apart from counting. */
export interface Peer {
  name: string;
  prepare(products: readonly SourceProduct[]): (picks: Picks) => unknown;
  /** Turns what counting gave into comparable counts; not timed. */
  read(answer: unknown): Counts;
}

type Item = Record<string, string[]>;

/** The products as plain objects of value lists, which is what all peers start from. */
export const itemsOf = (products: readonly SourceProduct[]): Item[] =>
  products.map(({ rows }) => Object.fromEntries(fieldKeys.map((key, f) => [key, rows[0][f].split("|")])));

/** itemsjs: facets over bitmaps, in JavaScript. Disjunctive facets leave their own choice out. */
const items: Peer = {
  name: "itemsjs",
  prepare(products) {
    const engine = itemsjs(itemsOf(products), {
      aggregations: Object.fromEntries(fieldKeys.map((key) => [key, { size: 1000, conjunction: false }])),
    });
    return (picks) => engine.search({ filters: picks, per_page: 1 });
  },
  read(answer) {
    const { aggregations } = (answer as ReturnType<ReturnType<typeof itemsjs>["search"]>).data;
    return Object.fromEntries(
      fieldKeys.map((key) => [
        key,
        Object.fromEntries(aggregations[key].buckets.map(({ key: value, doc_count }) => [value, doc_count])),
      ]),
    );
  },
};

/** crossfilter2: sorted dimensions and incremental groups, in JavaScript. A group leaves its own dimension's filter out. */
const cross: Peer = {
  name: "crossfilter2",
  prepare(products) {
    const cube = crossfilter(itemsOf(products));
    const dimensions = fieldKeys.map((key) => cube.dimension((item) => item[key], true));
    const groups = dimensions.map((dimension) => dimension.group());
    return (picks) => {
      fieldKeys.forEach((key, f) => {
        const wanted = picks[key] && new Set(picks[key]);
        if (wanted) dimensions[f].filterFunction((value) => wanted.has(value as string));
        else if (dimensions[f].hasCurrentFilter()) dimensions[f].filterAll();
      });
      return groups.map((group) => group.all());
    };
  },
  read: (answer) =>
    Object.fromEntries(
      (answer as { key: string; value: number }[][]).map((groups, f) => [
        fieldKeys[f],
        Object.fromEntries(groups.map(({ key, value }) => [key, value])),
      ]),
    ),
};

/** SQL: SQLite in memory, a table a field, with an index from value to product and one from product to value. */
const sql: Peer = {
  name: "sqlite",
  prepare(products) {
    const db = new Database(":memory:");
    const all = itemsOf(products);
    for (const [f, key] of fieldKeys.entries()) {
      db.exec(`create table t${f} (product integer, value text)`);
      const insert = db.prepare(`insert into t${f} values (?, ?)`);
      db.exec("begin");
      for (const [p, item] of all.entries()) for (const value of item[key]) insert.run(p, value);
      db.exec("commit");
      db.exec(`create index v${f} on t${f} (value, product); create index p${f} on t${f} (product, value)`);
    }
    return (picks) =>
      fieldKeys.map((own, f) => {
        const others = Object.entries(picks).filter(([key]) => key !== own);
        const where = others.map(
          ([key, values]) =>
            `product in (select product from t${fieldKeys.indexOf(key)} where value in (${values.map(() => "?").join()}))`,
        );
        const text = `select value, count(*) as n from t${f} ${where.length > 0 ? `where ${where.join(" and ")}` : ""} group by value`;
        return db.prepare(text).all(...others.flatMap(([, values]) => values));
      });
  },
  read: (answer) =>
    Object.fromEntries(
      (answer as { value: string; n: number }[][]).map((rows, f) => [
        fieldKeys[f],
        Object.fromEntries(rows.map(({ value, n }) => [value, n])),
      ]),
    ),
};

export const peers: readonly Peer[] = [items, cross, sql];
