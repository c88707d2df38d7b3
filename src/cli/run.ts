import { CatalogueError, problemText } from "../core/catalogue/problem.ts";
import { type Command, didYouMean } from "./command.ts";
import { UsageError } from "./usage-error.ts";

/** Every command, loaded on demand. A new one is a file and a line here. */
const commands: Readonly<Record<string, () => Promise<Command>>> = {
  tally: async () => (await import("./tally.ts")).tallyCommand,
  check: async () => (await import("./check.ts")).check,
  diff: async () => (await import("./diff.ts")).diff,
  schema: async () => (await import("./schema.ts")).schema,
  rehearse: async () => (await import("./rehearse.ts")).rehearse,
  handoff: async () => (await import("./handoff.ts")).handoff,
  publish: async () => (await import("./publish.ts")).publish,
  load: async () => (await import("./load.ts")).load,
  serve: async () => (await import("./serve.ts")).serve,
  ids: async () => (await import("./ids.ts")).ids,
  visits: async () => (await import("./visits.ts")).visits,
  export: async () => (await import("./export.ts")).exportShop,
  import: async () => (await import("./import.ts")).importShop,
  backup: async () => (await import("./backup.ts")).backup,
  restore: async () => (await import("./restore.ts")).restore,
};
const names = Object.keys(commands);

/** The output of a run and its exit status: 0; 1 for findings or differences; 2 for wrong usage or a damaged file. */
export interface RunResult {
  status: 0 | 1 | 2;
  out: string;
  err: string;
}

/** Runs the command line with its arguments. Never throws: an error is one line of `err`. */
export async function runTrellis([name, ...rest]: readonly string[]): Promise<RunResult> {
  try {
    if (name === undefined) throw new UsageError(`Name a command: ${names.join(", ")}. See trellis --help.`);
    if (["--help", "-h", "help"].includes(name)) return { status: 0, out: await help(), err: "" };
    const load = Object.hasOwn(commands, name) ? commands[name] : undefined;
    if (!load) throw new UsageError(`Unknown command “${name}”.${didYouMean(name, names)} See trellis --help.`);
    const command = await load();
    if (rest.includes("--help") || rest.includes("-h")) return { status: 0, out: helpOf(command), err: "" };
    const { text, status, note } = await command.run(rest);
    return {
      status,
      out: text === "" ? "" : `${text.trimEnd()}\n`,
      err: note === undefined ? "" : `trellis: ${note}\n`,
    };
  } catch (error) {
    return { status: 2, out: "", err: `trellis: ${told(error).replaceAll("\n", " ")}\n` };
  }
}

async function help(): Promise<string> {
  const all = await Promise.all(Object.values(commands).map((load) => load()));
  return [
    "Usage: trellis COMMAND [options]",
    "A shop’s filter panels from the command line.",
    section("Commands", table(all.map(({ name, about }) => [name, about]))),
    section("Exit status", table(statuses)),
    "See trellis COMMAND --help for the options of a command.\n",
  ].join("\n\n");
}

const statuses: [string, string][] = [
  ["0", "Success"],
  ["1", "Findings or differences"],
  ["2", "Wrong usage or a damaged file"],
];

/** The help of one command, in the usual form. */
function helpOf({ about, usage, options, example }: Command): string {
  const all = [
    ...options.map(([flag, words, fallback]): [string, string] => [
      flag,
      fallback === undefined ? words : `${words} (default: ${fallback})`,
    ]),
    ["-h, --help", "Show this help"] as [string, string],
  ];
  return [
    `Usage: ${usage}`,
    about,
    section("Options", table(all)),
    section("Example", [example]),
    `${section("Exit status", table(statuses))}\n`,
  ].join("\n\n");
}

const section = (title: string, lines: readonly string[]): string =>
  [`${title}:`, ...lines.map((line) => `  ${line}`)].join("\n");

/** Lines of two columns. */
function table(rows: readonly (readonly [string, string])[]): string[] {
  const width = Math.max(...rows.map(([first]) => first.length));
  return rows.map(([first, second]) => `${first.padEnd(width)}  ${second}`);
}

/** The error, in one line. */
function told(error: unknown): string {
  if (error instanceof CatalogueError) return problemText(error.problem);
  const { code, message, name } = error as NodeJS.ErrnoException;
  // Messages of the option parser are sentences already; those of folders and the store are passed on unchanged.
  const known =
    ["UsageError", "FolderFault", "EditionFault", "StoreFault", "HttpError"].includes(name) ||
    code?.startsWith("ERR_PARSE_ARGS");
  return known ? message : `unexpected error: ${message}`;
}
