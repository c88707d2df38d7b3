import { Download } from "lucide-react";
import Papa from "papaparse";
import { groupProblems, type Problem } from "../../core/catalogue/problem.ts";
import { saveFile } from "../shell/save-file.ts";

const longest = 40;

/** A problem, by its row and value. */
const example = ({ row, value }: Problem): string =>
  [
    row === undefined ? "" : `row ${row.toLocaleString("en")}`,
    value === undefined ? "" : `“${value.length > longest ? `${value.slice(0, longest - 1)}…` : value}”`,
  ]
    .filter(Boolean)
    .join(" ");

/** The problems of the file by kind, most frequent first. The rest can be imported anyway. */
export function ProblemList({ problems }: { problems: readonly Problem[] }) {
  if (problems.length === 0) return <p className="text-[13px] text-success">No problems: every row can be imported.</p>;
  return (
    <section aria-label="Problems" className="rounded-lg border border-hair bg-base-100">
      <div className="flex items-center border-b border-hair py-1 ps-3 pe-1">
        <h2 className="flex-1 text-[15px]">
          {problems.length.toLocaleString("en")} {problems.length === 1 ? "problem" : "problems"}
        </h2>
        <button type="button" className="btn btn-ghost btn-sm" onClick={() => download(problems)}>
          <Download size={14} aria-hidden /> Download as CSV
        </button>
      </div>
      {/* biome-ignore lint/a11y/noNoninteractiveTabindex: a list that scrolls must be reachable by the keyboard */}
      <ul tabIndex={0} className="max-h-72 divide-y divide-hair overflow-auto text-[13px]">
        {groupProblems(problems).map((group) => (
          <li key={`${group.column} ${group.message}`} className="flex gap-3 px-3 py-2">
            <b className="w-14 flex-none text-end tabular-nums">{group.count.toLocaleString("en")}</b>
            <span>
              {group.column ? <b>{group.column}: </b> : null}
              {group.message}
              <span className="block text-quiet">{group.examples.map(example).join(" · ")}</span>
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Downloads all problems as a table, to work through them beside the file. */
function download(problems: readonly Problem[]): void {
  const text = Papa.unparse({
    fields: ["row", "column", "value", "message"],
    data: problems.map(({ row, column, value, message }) => [row, column, value, message]),
  });
  saveFile("problems.csv", text, "text/csv");
}
