import { type JoinOffer, joined } from "../../core/catalogue/join-rows.ts";
import { titleColumn } from "../../core/catalogue/reading.ts";
import type { Reading } from "../../core/catalogue/reading-schema.ts";
import type { Preview } from "./file-reader.ts";

interface Props {
  preview: Preview;
  read(reading: Reading): void;
}

/** The source of the products' titles, and the column that groups rows into products. */
export function Naming({ preview: { columns, reading, by, join, fault }, read }: Props) {
  const titled = titleColumn(reading);
  const grouped = reading.findIndex(({ as }) => as === "product_id");
  const name = (at: number) => columns[at]?.heading || `column ${at + 1}`;
  const places = columns.flatMap(({ heading }, at) => (heading === "" ? [] : [at]));
  return (
    <div className="mb-3">
      {join ? <JoinRows join={join} name={name} take={() => read(joined(reading, join))} /> : null}
      <div className="flex flex-wrap gap-x-6 gap-y-2">
        <label className="flex flex-wrap items-center gap-x-2">
          <span className="font-medium">Product titles come from</span>
          <select
            className="select select-sm w-44"
            value={titled}
            onChange={(event) => read(titledBy(reading, Number(event.target.value)))}
          >
            {titled < 0 ? <option value={-1}>row numbers</option> : null}
            {places
              .filter((at) => at === titled || reading[at]?.as !== "skip")
              .map((at) => (
                <option key={at} value={at}>
                  {name(at)}
                </option>
              ))}
          </select>
        </label>
        <label className="flex flex-wrap items-center gap-x-2">
          <span className="font-medium">Group rows into products by</span>
          <select
            className="select select-sm w-44"
            value={grouped}
            onChange={(event) => read(groupedBy(reading, Number(event.target.value)))}
          >
            <option value={-1}>nothing: one product per row</option>
            {places.map((at) => (
              <option key={at} value={at}>
                {name(at)}
              </option>
            ))}
          </select>
        </label>
      </div>
      {grouped < 0 && !fault ? (
        <p className="mt-2 text-[13px] text-quiet">
          In a newer file, rows are matched by {by.length === 0 ? "all their values" : listed(by)}.
        </p>
      ) : null}
    </div>
  );
}

const listed = (names: readonly string[]): string =>
  new Intl.ListFormat("en", { type: "conjunction" }).format(names.map((name) => name || "a column without heading"));

/** Offers to join rows with the same name into one product. */
function JoinRows({ join, name, take }: { join: JoinOffer; name(at: number): string; take(): void }) {
  const { column, rows, products, differing } = join;
  return (
    <div
      className="mb-4 flex flex-wrap items-center gap-x-4 gap-y-2 rounded-box border border-accent bg-base-100 px-4 py-3"
      role="note"
    >
      <p className="min-w-56 flex-1">
        <b>Are these variants?</b> Rows with the same {name(column)} differ only in {listed(differing.map(name))}.
        Grouped, they are {products.toLocaleString("en")} products with {rows.toLocaleString("en")} variants; ungrouped,{" "}
        {rows.toLocaleString("en")} products.
      </p>
      <button type="button" className="btn btn-sm" onClick={take}>
        Group these rows
      </button>
    </div>
  );
}

/** The reading with the titles from one column, which keeps its other role. */
function titledBy(reading: Reading, at: number): Reading {
  return reading.map(({ titles: _old, ...column }, place) => {
    if (place === at) return column.as === "title" ? column : { ...column, titles: true as const };
    return column.as === "title" ? { ...column, as: "attribute" as const } : column;
  });
}

/** The reading with rows grouped by one column; without a column each row is a product. */
function groupedBy(reading: Reading, at: number): Reading {
  return reading.map((column, place) => {
    if (place === at) return { as: "product_id" as const };
    return column.as === "product_id" ? { ...column, as: "attribute" as const } : column;
  });
}
