import { createReadStream, existsSync } from "node:fs";
import { extname } from "node:path";
import { createInterface } from "node:readline";
import { parseArgs } from "node:util";
import Papa from "papaparse";
import type { PageVisits, Share, VisitReport } from "../core/api/visit-report.ts";
import { enoughVisits } from "../core/findings/visit-use.ts";
import { VisitReader } from "../core/rehearsal/visit-report.ts";
import { counted } from "../core/report/site-problems.ts";
import { type Command, oneOf, onlyOne } from "./command.ts";
import { UsageError } from "./usage-error.ts";

/** Report of a file of visits. */
export const visits: Command = {
  name: "visits",
  about: "Reads what shoppers did, from lines of JSON or a CSV, and reports how the panels were used.",
  usage: "trellis visits FILE [--as text|json]",
  options: [["--as FORMAT", "Output format: text or json", "text"]],
  example: "trellis visits ./visits.jsonl",
  async run(args) {
    const { values, positionals } = parseArgs({
      args,
      allowPositionals: true,
      options: { as: { type: "string", default: "text" } },
    });
    const file = onlyOne(positionals, "file of visits", visits);
    if (!existsSync(file)) throw new UsageError(`There is no file ${file}. Check the name.`);
    const as = oneOf(["text", "json"], values.as, "as");
    const reader = new VisitReader(Date.now());
    if (extname(file).toLowerCase() === ".csv") await readRows(file, reader);
    else await readLines(file, reader);
    const report = reader.report();
    const left = report.left.map(
      ({ why, lines, first }) =>
        `${lines} ${lines === 1 ? "line is" : "lines are"} left out: ${why}, the first is line ${first}.`,
    );
    return {
      text: as === "json" ? JSON.stringify(report, null, 2) : asText(report),
      status: 0,
      note: left.length > 0 ? left.join(" ") : undefined,
    };
  },
};

async function readLines(file: string, reader: VisitReader): Promise<void> {
  const input = createReadStream(file, "utf8");
  for await (const line of createInterface({ input, crlfDelay: Number.POSITIVE_INFINITY })) reader.add(line);
}

/** Reads a table row by row, so that a file of any size fits. */
const readRows = (file: string, reader: VisitReader): Promise<void> =>
  new Promise((done, failed) => {
    Papa.parse<Record<string, string>>(createReadStream(file, "utf8"), {
      header: true,
      skipEmptyLines: true,
      step: ({ data }) => reader.addRow(data),
      complete: () => done(),
      error: failed,
    });
  });

function asText({ lines, pages, editions }: VisitReport): string {
  const visits = pages.reduce((sum, page) => sum + page.visits, 0);
  const of = editions.length > 0 ? `, of edition ${editions.join(", ")}` : "";
  return [`${visits} visits in ${lines} lines${of}.`, ...pages.map(pageText)].join("\n\n");
}

function pageText(page: PageVisits): string {
  return [
    `${page.page} on ${page.band}: ${page.visits} visits${page.visits < enoughVisits ? ", few enough that shares say little" : ""}`,
    `  chose something  ${shareText(page.choosing)}`,
    `  found nothing    ${shareText(page.empty)}`,
    `  opened a product ${shareText(page.opening)}${page.choicesBefore === undefined ? "" : `, after ${counted(page.choicesBefore, "choice")} and ${page.secondsBefore} s (medians)`}`,
    ...page.fields.map(
      ({ field, used, options }) =>
        `  ${field}: ${shareText(used)}${
          options.length > 0
            ? `, mostly ${options
                .slice(0, 3)
                .map(({ option }) => option)
                .join(", ")}`
            : ""
        }`,
    ),
    ...page.soughtInVain.slice(0, 5).map(({ words, visits }) => `  sought in vain: ${words} (${visits})`),
  ].join("\n");
}

const percent = (share: number): string => `${(share * 100).toFixed(share < 0.1 ? 1 : 0)}%`;
const shareText = ({ hits, of, low, high }: Share): string =>
  `${percent(of === 0 ? 0 : hits / of)} (${percent(low)} to ${percent(high)})`;
