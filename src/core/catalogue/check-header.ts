import { knownColumns } from "./field.ts";
import { spelling } from "./identity.ts";
import { CatalogueError } from "./problem.ts";
import type { Reading } from "./reading-schema.ts";

/** @throws CatalogueError if a heading occurs twice, or two columns have a role that only one may have */
export function checkHeader(header: readonly string[], roles: Reading[number]["as"][]): void {
  const twice = header.find(
    (heading, at) =>
      heading !== "" &&
      roles[at] !== "skip" &&
      header.some(
        (other, before) =>
          before < at && roles[before] !== "skip" && spelling(other).toLowerCase() === spelling(heading).toLowerCase(),
      ),
  );
  if (twice !== undefined) {
    throw new CatalogueError({
      row: 1,
      column: twice,
      message: "This heading appears twice. Rename one of the two columns.",
    });
  }
  for (const column of knownColumns) {
    if (roles.filter((role) => role === column).length > 1) {
      throw new CatalogueError({ row: 1, message: `Two columns are used as “${column}”. Choose one.` });
    }
  }
}
