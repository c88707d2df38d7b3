import { CatalogueError, problemText } from "../core/catalogue/problem.ts";
import { tally } from "./tally.ts";
import { UsageError } from "./usage-error.ts";

const usage = `Usage: trellis tally CATALOGUE.csv --facet NAME[:any|all|one|range|tree] … --pick 'NAME=VALUE|VALUE' … --pick 'NAME=LO..HI' --within 'NAME=VALUE' …`;

const [command, ...rest] = process.argv.slice(2);
try {
  if (command === "--help" || command === "-h" || command === "help") console.log(usage);
  else if (command === "tally") console.log(JSON.stringify(tally(rest), null, 2));
  else throw new UsageError(command ? `There is no command “${command}”. ${usage}` : usage);
} catch (error) {
  const known =
    error instanceof CatalogueError
      ? problemText(error.problem)
      : error instanceof UsageError
        ? error.message
        : undefined;
  process.stderr.write(
    `trellis: ${(known ?? `unexpected fault: ${(error as Error).message}`).replaceAll("\n", " ")}\n`,
  );
  process.exitCode = known === undefined ? 1 : 2;
}
