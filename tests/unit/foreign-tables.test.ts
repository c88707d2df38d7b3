import { readFileSync } from "node:fs";
import { join } from "node:path";
import { describe, expect, it } from "vitest";
import { fieldKindFacts, isNumeric } from "../../src/core/catalogue/field-kinds.ts";
import { buildCatalogue, readTable } from "../../src/core/catalogue/read.ts";
import { suggestReading } from "../../src/core/catalogue/suggest-reading.ts";
import { type Answers, keptApart, lookedAt, readLater, shops } from "./foreign-tables.answers.ts";

/** How the tool reads the columns of a table, in the words of the answers. */
function columnsOf(table: string): Map<string, string> {
  const bytes = Object.hasOwn(shops, table)
    ? new TextEncoder().encode(shops[table])
    : readFileSync(join("node_modules", table));
  const read = readTable(bytes);
  const reading = suggestReading(read);
  const { catalogue } = buildCatalogue(read, { reading });
  const used = reading.flatMap(({ as }, at) => (as === "skip" ? [] : [at]));
  return new Map(
    read.header.map((heading, at) => {
      const field = catalogue.fields[used.indexOf(at)];
      const { as = "skip", titles } = reading[at] ?? {};
      if (as === "product_id") return [heading, "id"];
      if (as === "title" || (titles && field?.kind === "text")) return [heading, "title"];
      if (as !== "attribute") return [heading, as];
      return [heading, `${field?.kind}${field?.unit ? ` in ${field.unit}` : ""}`];
    }),
  );
}

const misread = (list: readonly Answers[]): string[] =>
  list.flatMap(({ table, columns }) => {
    const read = columnsOf(table);
    return Object.entries(columns)
      .filter(([heading, wanted]) => read.get(heading) !== wanted)
      .map(([heading, wanted]) => `${table} ${heading}: ${wanted}, not ${read.get(heading)}`);
  });
const columnsIn = (list: readonly Answers[]) => list.reduce((sum, { columns }) => sum + Object.keys(columns).length, 0);

describe("columns of tables that other people made", () => {
  it("are read as a person reads them, all that were looked at", () => {
    expect(misread(lookedAt)).toEqual([]);
    expect(columnsIn(lookedAt)).toBeGreaterThan(50);
  });

  it("are read so in those kept apart too", () => {
    expect(misread(keptApart)).toEqual([]);
    expect(columnsIn(keptApart)).toBe(68);
  });

  it("are read so in those of a later day", () => {
    expect(misread(readLater)).toEqual([]);
    expect(columnsIn(readLater)).toBe(100);
  });

  it("are told as they are by kinds that exist", () => {
    const kinds = new Set(Object.keys(fieldKindFacts));
    expect(isNumeric({ kind: "year" })).toBe(true);
    const answers = [...lookedAt, ...keptApart, ...readLater].flatMap(({ columns }) => Object.values(columns));
    const known = ["id", "title", "price", "list_price", "stock", "published", "type", "image"];
    expect(answers.filter((one) => !kinds.has(one.split(" ")[0] ?? "") && !known.includes(one))).toEqual([]);
  });
});
