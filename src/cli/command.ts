import { distance } from "fastest-levenshtein";
import { UsageError } from "./usage-error.ts";

/** The output of a command and its exit status: 0, or 1 for findings or a difference. */
export interface Outcome {
  text: string;
  status: 0 | 1;
  /** Something that the user should know beside it; goes to standard error. */
  note?: string | undefined;
}

/** A command of the command line, in a file of its own. */
export interface Command {
  name: string;
  /** Its purpose, in a sentence. */
  about: string;
  usage: string;
  /** Each option as it is typed, what it does, and its default if it has one. */
  options: readonly (readonly [flag: string, words: string, fallback?: string])[];
  example: string;
  /** @throws UsageError, FolderFault, CatalogueError: wrong use or a broken file */
  run(args: string[]): Outcome | Promise<Outcome>;
}

/** The name that was probably meant; empty if no known name is close. */
export function didYouMean(name: string, known: Iterable<string>): string {
  const near = [...known]
    .map((one) => ({ one, far: distance(name.toLowerCase(), one.toLowerCase()) }))
    .filter(({ one, far }) => far <= Math.max(2, Math.floor(one.length / 3)))
    .sort((a, b) => a.far - b.far)[0];
  return near ? ` Did you mean ${near.one}?` : "";
}

/** The one of a few values that was given for an option. @throws UsageError */
export function oneOf<T extends string>(values: readonly T[], given: string, option: string): T {
  const found = values.find((value) => value === given);
  if (!found)
    throw new UsageError(
      `--${option} must be one of ${values.join(", ")}, not “${given}”.${didYouMean(given, values)}`,
    );
  return found;
}

/** The single positional argument of a command. @throws UsageError if there are none or several */
export function onlyOne(positionals: readonly string[], what: string, { usage }: Pick<Command, "usage">): string {
  const [first, ...others] = positionals;
  if (first === undefined || others.length > 0) throw new UsageError(`Name one ${what}. Usage: ${usage}`);
  return first;
}
