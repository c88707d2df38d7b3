import { knownColumns, roleNames } from "../../core/catalogue/field.ts";
import type { Mapping } from "../../core/catalogue/read.ts";
import { percent } from "../bench/reach.tsx";
import type { Preview } from "./preview.ts";

interface Props {
  preview: Preview;
  busy: boolean;
  remap(mapping: Mapping): void;
}

/** The file's columns: what each is taken for, what it holds, and how many products state it. */
export function ColumnTable({ preview: { columns, mapping, profiles, fault }, busy, remap }: Props) {
  // Fields stand in the order of the columns that are taken.
  const taken = columns.flatMap((_, at) => (mapping[at] === "skip" ? [] : [at]));
  return (
    <div className="overflow-x-auto rounded-box border border-hair bg-base-100" aria-busy={busy}>
      <table className="table table-sm">
        <thead className="bg-sand text-base-content">
          <tr>
            <th>Column</th>
            <th>Is taken as</th>
            <th>Holds</th>
            <th className="w-24">Reach</th>
          </tr>
        </thead>
        <tbody>
          {columns.map(({ heading, samples }, at) => {
            const profile = fault ? undefined : profiles[taken.indexOf(at)];
            return (
              <tr key={at} className={mapping[at] === "skip" ? "opacity-50" : ""}>
                <th scope="row" className="font-medium">
                  {heading || <span className="text-quiet">no heading</span>}
                </th>
                <td>
                  <select
                    className="select select-sm w-36"
                    aria-label={`${heading || "Column without heading"} is taken as`}
                    value={mapping[at]}
                    disabled={heading === ""}
                    onChange={(event) => remap(mapping.map((role, place) => (place === at ? (event.target.value as Mapping[number]) : role)))}
                  >
                    <option value="attribute">Attribute</option>
                    {knownColumns.map((column) => (
                      <option key={column} value={column}>
                        {roleNames[column]}
                      </option>
                    ))}
                    <option value="skip">Leave out</option>
                  </select>
                </td>
                <td className="max-w-80">
                  <span className="block truncate">{samples.join(", ") || <span className="text-quiet">nothing</span>}</span>
                  {profile ? (
                    <span className="text-[12px] text-quiet">
                      {profile.field.kind === "yes-no" ? "yes / no" : profile.field.kind}, {profile.options.toLocaleString("en")}{" "}
                      {profile.options === 1 ? "value" : "values"}, by {profile.level}
                    </span>
                  ) : null}
                </td>
                <td>{profile ? percent(profile.reach, profile.outOf) : ""}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
