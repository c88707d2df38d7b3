import { pathSeparator } from "../../../../core/catalogue/path.ts";
import type { OptionView } from "../display-props.ts";

/** A category with those that stand below it. */
export interface Branch {
  option: OptionView;
  name: string;
  children: Branch[];
}

/** The paths that stand above one. */
export function ancestors(id: string): string[] {
  const levels = id.split(pathSeparator);
  return levels.slice(0, -1).map((_, depth) => levels.slice(0, depth + 1).join(pathSeparator));
}

/** Paths as a tree, in the order in which they come; one whose own branch was dropped stands at the root. */
export function grow(options: readonly OptionView[]): Branch[] {
  const branches = new Map<string, Branch>(
    options.map((option) => [
      option.id,
      { option, name: option.label.split(pathSeparator).at(-1) ?? "", children: [] },
    ]),
  );
  const roots: Branch[] = [];
  for (const [id, branch] of branches) {
    const above = branches.get(ancestors(id).at(-1) ?? "");
    (above ? above.children : roots).push(branch);
  }
  return roots;
}

/** The categories that have none below them, without a tree around them. */
export const leaves = (branches: readonly Branch[]): Branch[] =>
  branches.flatMap((branch) => (branch.children.length === 0 ? [branch] : leaves(branch.children)));
