import { ancestors, pathSeparator } from "../../../../core/catalogue/path.ts";
import type { OptionView } from "../display-props.ts";

/** A category with its subcategories. */
export interface Branch {
  option: OptionView;
  name: string;
  children: Branch[];
}

/** The name of a category without its parents. */
export const lastLevel = ({ label }: Pick<OptionView, "label">): string => label.split(pathSeparator).at(-1) ?? "";

/** Paths as a tree, in the given order; one whose parent is missing becomes a root. */
export function grow(options: readonly OptionView[]): Branch[] {
  const branches = new Map<string, Branch>(
    options.map((option) => [option.id, { option, name: lastLevel(option), children: [] }]),
  );
  const roots: Branch[] = [];
  for (const [id, branch] of branches) {
    const above = branches.get(ancestors(id).at(-1) ?? "");
    (above ? above.children : roots).push(branch);
  }
  return roots;
}
