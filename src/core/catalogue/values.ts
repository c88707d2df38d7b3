import { spelling } from "./identity.ts";

/** The values of one cell: split at `|` unless the cell is one whole text; empty ones are dropped. */
export function splitCell(cell: string, whole: boolean): string[] {
  if (whole || !cell.includes("|")) {
    const only = spelling(cell);
    return only === "" ? [] : [only];
  }
  return cell
    .split("|")
    .map(spelling)
    .filter((value) => value !== "");
}
