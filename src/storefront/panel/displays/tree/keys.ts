import { ancestors } from "../../../../core/catalogue/path.ts";
import type { Branch } from "./grow.ts";

/** The effect of a key in a tree: move the focus, open or collapse a branch, or choose. */
export type TreeStep = { do: "focus"; branch: Branch | undefined } | { do: "flip" } | { do: "choose" };

/**
 * The effect of a key on a branch; undefined if the key has no function in a tree. Source: WAI-ARIA Authoring
 * Practices, Tree View.
 * @param inSight the visible branches, from the top
 * @param open ids of open branches
 * @param isBackwards whether text runs from right to left, so that the arrows are swapped
 */
export function treeStep(
  event: Pick<KeyboardEvent, "key" | "ctrlKey" | "metaKey" | "altKey">,
  branch: Branch,
  inSight: readonly Branch[],
  open: ReadonlySet<string>,
  isBackwards: boolean,
): TreeStep | undefined {
  const at = inSight.indexOf(branch);
  const { id } = branch.option;
  const isParent = branch.children.length > 0;
  const focus = (next: Branch | undefined): TreeStep => ({ do: "focus", branch: next });
  switch (event.key) {
    case "ArrowDown":
      return focus(inSight[at + 1]);
    case "ArrowUp":
      return focus(inSight[at - 1]);
    case "Home":
      return focus(inSight[0]);
    case "End":
      return focus(inSight.at(-1));
    case " ":
    case "Enter":
      return { do: "choose" };
  }
  if (event.key === (isBackwards ? "ArrowLeft" : "ArrowRight") && isParent)
    return open.has(id) ? focus(branch.children[0]) : { do: "flip" };
  if (event.key === (isBackwards ? "ArrowRight" : "ArrowLeft")) {
    if (isParent && open.has(id)) return { do: "flip" };
    return focus(inSight.find(({ option }) => option.id === ancestors(id).at(-1)));
  }
  if (event.key.length !== 1 || event.ctrlKey || event.metaKey || event.altKey) return undefined;
  const letter = event.key.toLowerCase();
  const after = [...inSight.slice(at + 1), ...inSight.slice(0, at)];
  return focus(after.find(({ name }) => name.toLowerCase().startsWith(letter)));
}
