import { parentOf } from "../catalogue/path.ts";
import type { LinksPiece } from "./pieces.ts";

/** Whether a piece of links has one for a value. */
export function hasLink({ values }: Pick<LinksPiece, "values">, id: string): boolean {
  if (values === "all") return true;
  if (Array.isArray(values)) return values.includes(id);
  return "below" in values ? parentOf(id) === values.below : !values.except.includes(id);
}
