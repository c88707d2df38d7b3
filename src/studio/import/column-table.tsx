import { mustBeNumber } from "../../core/catalogue/complete.ts";
import { fieldKinds, isWholeText, knownColumns, roleNames } from "../../core/catalogue/field.ts";
import type { ColumnReading, DateOrder, DecimalMark, Reading, Separator } from "../../core/catalogue/reading-schema.ts";
import { kindNames } from "../catalogue/kind-names.ts";
import { percent } from "../shell/percent.ts";
import type { Preview } from "./file-reader.ts";
import { Naming } from "./naming.tsx";

interface Props {
  preview: Preview;
  busy: boolean;
  read(reading: Reading): void;
}

const separatorNames: Record<Separator, string> = {
  "|": "parted by |",
  ";": "parted by ;",
  ",": "parted by ,",
  "/": "parted by /",
  "": "one value a cell",
};
const decimalNames: Record<DecimalMark, string> = { ".": "1234.50", ",": "1.234,50" };
const dateNames: Record<DateOrder, string> = { ymd: "2026-03-31", dmy: "31.03.2026", mdy: "03/31/2026" };

/** The file's columns: what each is taken for, how its cells are written, what it holds, and how many products state it. */
export function ColumnTable({ preview, busy, read }: Props) {
  const { columns, reading, profiles, fault } = preview;
  // Fields stand in the order of the columns that are taken.
  const taken = columns.flatMap((_, at) => (reading[at]?.as === "skip" ? [] : [at]));
  const change = (at: number, next: ColumnReading) =>
    read(reading.map((column, place) => (place === at ? next : column)));
  return (
    <div aria-busy={busy}>
      <Naming preview={preview} read={read} />
      <div className="overflow-x-auto rounded-box border border-hair bg-base-100">
        <table className="table table-sm">
          <thead className="bg-sand text-base-content">
            <tr>
              <th>Column</th>
              <th>Is taken as</th>
              <th>Written as</th>
              <th>Holds</th>
            </tr>
          </thead>
          <tbody>
            {columns.map(({ heading, samples }, at) => {
              const profile = fault ? undefined : profiles[taken.indexOf(at)];
              const column = reading[at];
              if (!column) return null;
              const name = heading || "Column without heading";
              return (
                <tr key={at} className={column.as === "skip" ? "opacity-60" : ""}>
                  <th scope="row" className="font-medium">
                    {heading || <span className="text-quiet">no heading</span>}
                  </th>
                  <td>
                    <select
                      className="select select-sm w-32"
                      aria-label={`${name} is taken as`}
                      value={column.as}
                      disabled={heading === ""}
                      onChange={(event) =>
                        change(at, {
                          as: event.target.value as ColumnReading["as"],
                          ...(column.titles ? { titles: true } : {}),
                        })
                      }
                    >
                      <option value="attribute">Attribute</option>
                      {knownColumns.map((known) => (
                        <option key={known} value={known}>
                          {roleNames[known]}
                        </option>
                      ))}
                      <option value="skip">Leave out</option>
                    </select>
                  </td>
                  <td>
                    {column.as === "skip" ? null : (
                      <Writing
                        name={name}
                        column={column}
                        kind={profile?.field.kind}
                        set={(next) => change(at, next)}
                      />
                    )}
                  </td>
                  <td className="max-w-64">
                    <span className="block truncate" title={samples.join(", ")}>
                      {samples.join(", ") || <span className="text-quiet">nothing</span>}
                    </span>
                    {profile ? (
                      <span className="text-[12px] text-quiet">
                        {profile.options.toLocaleString("en")} {profile.options === 1 ? "value" : "values"} by{" "}
                        {profile.level}, reach {percent(profile.reach, profile.outOf)}
                      </span>
                    ) : null}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
    </div>
  );
}

interface WritingProps {
  name: string;
  column: ColumnReading;
  /** What the values were found to be. */
  kind: (typeof fieldKinds)[number] | undefined;
  set(column: ColumnReading): void;
}

/** How a column's cells are written: what the values are, how several are parted, and the marks of numbers and days. */
function Writing({ name, column, kind, set }: WritingProps) {
  const number = mustBeNumber.has(column.as as "price");
  if (!number && isWholeText(column.as as "title"))
    return <span className="text-[12px] text-quiet">text, as it is</span>;
  const shown = column.kind ?? kind ?? "text";
  const small = "select select-xs w-auto";
  return (
    <span className="flex gap-1.5">
      {number ? null : (
        <select
          className={small}
          aria-label={`Values of ${name} are`}
          value={column.kind ?? ""}
          onChange={(event) => set({ ...column, kind: (event.target.value || undefined) as ColumnReading["kind"] })}
        >
          <option value="">{kind && !column.kind ? `${kindNames[kind]} (found)` : "as found"}</option>
          {fieldKinds.map((one) => (
            <option key={one} value={one}>
              {kindNames[one]}
            </option>
          ))}
        </select>
      )}
      {number || shown === "number" ? (
        <select
          className={small}
          aria-label={`Numbers of ${name} are written like`}
          value={column.decimal ?? "."}
          onChange={(event) => set({ ...column, decimal: event.target.value as DecimalMark })}
        >
          {Object.entries(decimalNames).map(([mark, words]) => (
            <option key={mark} value={mark}>
              {words}
            </option>
          ))}
        </select>
      ) : shown === "date" ? (
        <select
          className={small}
          aria-label={`Days of ${name} are written like`}
          value={column.dates ?? "ymd"}
          onChange={(event) => set({ ...column, dates: event.target.value as DateOrder })}
        >
          {Object.entries(dateNames).map(([order, words]) => (
            <option key={order} value={order}>
              {words}
            </option>
          ))}
        </select>
      ) : (
        <select
          className={small}
          aria-label={`Several values of ${name} are`}
          value={column.separator ?? "|"}
          onChange={(event) => set({ ...column, separator: event.target.value as Separator })}
        >
          {Object.entries(separatorNames).map(([mark, words]) => (
            <option key={mark} value={mark}>
              {words}
            </option>
          ))}
        </select>
      )}
    </span>
  );
}
