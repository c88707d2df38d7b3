/** One thing wrong with a catalogue file: where it is, what it is, and what to do about it. */
export interface Problem {
  /** Row number as in a spreadsheet, the header being row 1; absent if the whole file is meant. */
  row?: number;
  /** Heading of the column. */
  column?: string;
  /** The offending text, shortened. */
  value?: string;
  /** The problem and what to do, in one or two plain sentences. */
  message: string;
}

/** A file that cannot be read as a catalogue. Nothing of it is imported. */
export class CatalogueError extends Error {
  override name = "CatalogueError";
  readonly problem: Problem;
  constructor(problem: Problem) {
    super(problemText(problem));
    this.problem = problem;
  }
}

/** A problem as one line, for the command line and for messages. */
export function problemText({ row, column, value, message }: Problem): string {
  const where = [row === undefined ? "" : `row ${row}`, column ? `column "${column}"` : ""].filter(Boolean).join(", ");
  const what = value === undefined ? "" : ` ("${value.length > 60 ? `${value.slice(0, 57)}…` : value}")`;
  return where ? `${where.slice(0, 1).toUpperCase()}${where.slice(1)}${what}: ${message}` : `${message}${what}`;
}

/** Problems with the same reason in the same column. */
export interface ProblemGroup {
  column: string | undefined;
  message: string;
  count: number;
  /** The first few, each with its row and value. */
  examples: Problem[];
}

const examples = 3;

/** Groups problems, most frequent first. */
export function groupProblems(problems: readonly Problem[]): ProblemGroup[] {
  const groups = new Map<string, ProblemGroup>();
  for (const problem of problems) {
    const { column, message } = problem;
    const name = JSON.stringify([column ?? null, message]);
    const group = groups.get(name) ?? { column, message, count: 0, examples: [] };
    groups.set(name, group);
    group.count++;
    if (group.examples.length < examples) group.examples.push(problem);
  }
  return [...groups.values()].sort((a, b) => b.count - a.count);
}
