import { mustBeNumber } from "../../core/catalogue/complete.ts";
import { isWholeText, knownColumns, roleNames } from "../../core/catalogue/field.ts";
import { fieldKinds, fieldKindWords } from "../../core/catalogue/field-kind-words.ts";
import { isAmount, isDay } from "../../core/catalogue/field-kinds.ts";
import type { ColumnMapping, Reading } from "../../core/catalogue/reading-schema.ts";
import { dateNamesLike, decimalNames, levelNames, separatorNames } from "../catalogue/writing.tsx";
import { percent } from "../shell/percent.ts";
import type { Preview } from "./file-reader.ts";
import { Naming } from "./naming.tsx";

interface Props {
  preview: Preview;
  busy: boolean;
  read(reading: Reading): void;
}

/** The file's columns: role, notation, values and reach of each. */
export function ColumnTable({ preview, busy, read }: Props) {
  const { columns, reading, profiles, fault } = preview;
  // Fields are in the order of the columns in use.
  const taken = columns.flatMap((_, at) => (reading[at]?.as === "skip" ? [] : [at]));
  const nameOf = (key: string) => profiles.find(({ field }) => field.key === key)?.field.name ?? key;
  const change = (at: number, next: ColumnMapping) =>
    read(reading.map((column, place) => (place === at ? next : column)));
  return (
    <div aria-busy={busy}>
      {preview.hardly.map(({ at, stated, read: readable }) => (
        <div
          key={at}
          role="alert"
          className="mb-4 flex items-center gap-4 rounded-box border border-error bg-base-100 px-4 py-3"
        >
          <p className="flex-1">
            <b>{columns[at]?.heading}</b>: only {readable.toLocaleString("en")} of {stated.toLocaleString("en")} cells
            can be read as {isDay({ kind: reading[at]?.kind ?? "number" }) ? "dates" : "numbers"}. The others would
            count as empty. Choose their format, or use the column as text.
          </p>
          <button type="button" className="btn btn-sm" onClick={() => change(at, { as: "attribute", kind: "text" })}>
            Use as text
          </button>
        </div>
      ))}
      <Naming preview={preview} read={read} />
      <div className="overflow-x-auto rounded-box border border-hair bg-base-100">
        <table className="table table-sm">
          <thead className="bg-sand text-base-content">
            <tr>
              <th>Column</th>
              <th>Use as</th>
              <th>Format</th>
              <th>Sample values</th>
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
                      aria-label={`Use ${name} as`}
                      value={column.field ? goesOn(column.field) : column.as}
                      disabled={heading === ""}
                      onChange={(event) =>
                        change(at, { ...takenAs(event.target.value), ...(column.titles ? { titles: true } : {}) })
                      }
                    >
                      <option value="attribute">Attribute</option>
                      {knownColumns.map((known) => (
                        <option key={known} value={known}>
                          {roleNames[known]}
                        </option>
                      ))}
                      <option value="skip">Leave out</option>
                      <GoesOn column={column} missing={preview.missing} nameOf={nameOf} />
                    </select>
                  </td>
                  <td>
                    {column.as === "skip" ? null : (
                      <Writing
                        name={name}
                        column={column}
                        kind={profile?.field.kind}
                        sample={samples[0] ?? ""}
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

const goesOn = (field: string): string => `field ${field}`;

/** Parses a selected column role. */
function takenAs(value: string): ColumnMapping {
  const field = /^field (.+)$/s.exec(value)?.[1];
  return field === undefined ? { as: value as ColumnMapping["as"] } : { as: "attribute", field };
}

/** The existing fields that a column may continue: those without a column, and its own. */
function GoesOn({
  column,
  missing,
  nameOf,
}: {
  column: ColumnMapping;
  missing: Preview["missing"];
  nameOf(field: string): string;
}) {
  const own =
    column.field && !missing.some(({ key }) => key === column.field)
      ? [{ key: column.field, name: nameOf(column.field) }]
      : [];
  const fields = [...own, ...missing];
  return fields.length === 0 ? null : (
    <optgroup label="Continues the field">
      {fields.map(({ key, name }) => (
        <option key={key} value={goesOn(key)}>
          {name}
        </option>
      ))}
    </optgroup>
  );
}

const small = "select select-xs w-auto";

interface WritingProps {
  name: string;
  column: ColumnMapping;
  /** The detected kind of the values. */
  kind: (typeof fieldKinds)[number] | undefined;
  /** A cell as it is in the file. */
  sample: string;
  set(column: ColumnMapping): void;
}

/** A column's notation: the kind of its values, their separator, and the format of numbers and days. */
function Writing({ name, column, kind, sample, set }: WritingProps) {
  const number = mustBeNumber.has(column.as as "price");
  if (!number && isWholeText(column.as as "title"))
    return <span className="text-[12px] text-quiet">text, as it is</span>;
  const shown = column.kind ?? kind ?? "text";
  return (
    <span className="flex flex-wrap gap-1.5">
      {number ? null : (
        <select
          className={small}
          aria-label={`Values of ${name} are`}
          value={column.kind ?? ""}
          onChange={(event) => set(withKind(column, (event.target.value || undefined) as ColumnMapping["kind"]))}
        >
          <option value="">{kind && !column.kind ? `${fieldKindWords[kind].label} (found)` : "as found"}</option>
          {fieldKinds.map((one) => (
            <option key={one} value={one}>
              {fieldKindWords[one].label}
            </option>
          ))}
        </select>
      )}
      {number || isAmount({ kind: shown }) ? (
        <>
          <Marks
            label={`Numbers of ${name} are written like`}
            value={column.decimal ?? "."}
            names={decimalNames}
            set={(decimal) => set({ ...column, decimal })}
          />
          {column.unit === undefined ? null : (
            <span className="self-center text-[12px] text-quiet">converted to {column.unit}</span>
          )}
        </>
      ) : isDay({ kind: shown }) ? (
        <Marks
          label={`Dates of ${name} are written like`}
          value={column.dates ?? "ymd"}
          names={dateNamesLike(sample)}
          set={(dates) => set({ ...column, dates })}
        />
      ) : (
        <Marks
          label={`Several values of ${name} are`}
          value={column.separator ?? "|"}
          names={separatorNames}
          set={(separator) => set({ ...column, separator })}
        />
      )}
      {shown === "path" ? (
        <Marks
          label={`Levels of ${name} are written like`}
          value={column.levels ?? ">"}
          names={levelNames}
          set={(levels) => set({ ...column, levels })}
        />
      ) : null}
    </span>
  );
}

/** A column read as another kind; only amounts have a unit. */
function withKind({ unit, ...column }: ColumnMapping, kind: ColumnMapping["kind"]): ColumnMapping {
  return { ...column, kind, ...(unit !== undefined && (!kind || isAmount({ kind })) ? { unit } : {}) };
}

interface MarksProps<T extends string> {
  label: string;
  value: T;
  names: Readonly<Record<T, string>>;
  set(value: T): void;
}

/** A select for a notation. */
const Marks = <T extends string>({ label, value, names, set }: MarksProps<T>) => (
  <select className={small} aria-label={label} value={value} onChange={(event) => set(event.target.value as T)}>
    {Object.entries<string>(names).map(([mark, words]) => (
      <option key={mark} value={mark}>
        {words}
      </option>
    ))}
  </select>
);
