import { useEffect, useRef, useState } from "preact/hooks";
import { ancestors } from "../../../../core/catalogue/path.ts";
import type { DisplayProps, DisplayView } from "../display-props.ts";
import { OptionCount } from "../option-count.tsx";
import { BoxOption } from "../option-input.tsx";
import { limitOf } from "../option-list.tsx";
import { type Branch, grow, lastLevel } from "./grow.ts";
import { treeStep } from "./keys.ts";

/** Nested categories; or, flat, only those without subcategories. */
function Tree(props: DisplayProps) {
  const limit = props.settings.maxHeight > 0 ? limitOf(props.settings) : undefined;
  if (props.settings.nested) return <NestedTree {...props} roots={grow(props.options)} limit={limit} />;
  return (
    <ul
      class="zt-options zt-boxes"
      aria-label={props.label}
      data-limited={limit ? "" : undefined}
      tabIndex={limit ? 0 : undefined}
      style={limit}
    >
      {props.options.map((option) => (
        <li key={option.id}>
          <BoxOption
            row={props.row}
            name={props.name}
            option={option}
            toggle={props.toggle}
            say={props.say}
            words={lastLevel(option)}
          />
        </li>
      ))}
    </ul>
  );
}

interface NestedProps extends DisplayProps {
  roots: Branch[];
  limit: Record<string, string> | undefined;
}

/**
 * A tree view: one tab stop, arrow keys inside. Branches start collapsed, except around chosen ones. Source: WAI-ARIA
 * Authoring Practices, Tree View.
 */
function NestedTree({ name: called, options, toggle, label, roots, limit, say }: NestedProps) {
  const [open, setOpen] = useState<ReadonlySet<string>>(
    () => new Set(options.filter((option) => option.chosen).flatMap(({ id }) => ancestors(id))),
  );
  const [current, setCurrent] = useState<string | undefined>(undefined);
  const list = useRef<HTMLUListElement>(null);
  // Without scripts the check boxes themselves must be focusable; with scripts the tree's items are.
  const [alive, setAlive] = useState(false);
  useEffect(() => setAlive(true), []);

  const seen = (branches: readonly Branch[]): Branch[] =>
    branches.flatMap((branch) => [branch, ...(open.has(branch.option.id) ? seen(branch.children) : [])]);
  const inSight = seen(roots);
  const stop = inSight.some(({ option }) => option.id === current) ? current : inSight[0]?.option.id;
  const flip = (id: string) => {
    const next = new Set(open);
    if (!next.delete(id)) next.add(id);
    setOpen(next);
  };
  const focus = (branch: Branch | undefined) => {
    if (!branch) return;
    setCurrent(branch.option.id);
    list.current?.querySelector<HTMLElement>(`[data-node="${CSS.escape(branch.option.id)}"]`)?.focus();
  };
  const onKey = (event: KeyboardEvent, branch: Branch) => {
    const isBackwards = list.current !== null && getComputedStyle(list.current).direction === "rtl";
    const step = treeStep(event, branch, inSight, open, isBackwards);
    if (!step) return;
    if (step.do === "focus") focus(step.branch);
    else if (step.do === "flip") flip(branch.option.id);
    else if (!branch.option.faded) toggle(branch.option.id);
    event.preventDefault();
    event.stopPropagation();
  };

  const branches = (nodes: readonly Branch[]) =>
    nodes.map((branch) => {
      const { option, name, children } = branch;
      const isOpen = open.has(option.id);
      return (
        <li key={option.id} role={alive ? "none" : undefined}>
          {/* biome-ignore lint/a11y/useAriaPropsSupportedByRole: the role is there whenever these are */}
          {/* biome-ignore lint/a11y/noStaticElementInteractions: the role is there whenever keys are pressed */}
          <div
            class="zt-node"
            role={alive ? "treeitem" : undefined}
            data-node={option.id}
            tabIndex={alive ? (option.id === stop ? 0 : -1) : undefined}
            aria-expanded={alive && children.length > 0 ? isOpen : undefined}
            aria-checked={alive ? option.chosen : undefined}
            aria-disabled={(alive && option.faded) || undefined}
            onKeyDown={(event) => onKey(event, branch)}
          >
            {children.length > 0 ? (
              <button
                type="button"
                class="zt-twig"
                tabIndex={alive ? -1 : undefined}
                aria-hidden={alive || undefined}
                aria-expanded={isOpen}
                aria-label={say(isOpen ? "foldBranch" : "openBranch", { name })}
                onClick={() => flip(option.id)}
              />
            ) : (
              <span class="zt-twig-space" />
            )}
            <label class="zt-box" data-faded={option.faded || undefined}>
              <input
                type="checkbox"
                name={called}
                value={option.id}
                tabIndex={alive ? -1 : undefined}
                aria-hidden={alive || undefined}
                checked={option.chosen}
                disabled={option.faded}
                onChange={() => {
                  setCurrent(option.id);
                  toggle(option.id);
                }}
              />
              <span class="zt-name">{name}</span>
              <OptionCount option={option} say={say} />
            </label>
          </div>
          {children.length > 0 && isOpen ? (
            <ul class="zt-tree" role={alive ? "group" : undefined}>
              {branches(children)}
            </ul>
          ) : null}
        </li>
      );
    });
  return (
    // biome-ignore lint/a11y/useAriaPropsSupportedByRole: the role is there whenever these are
    <ul
      ref={list}
      class="zt-tree"
      role={alive ? "tree" : undefined}
      aria-multiselectable={alive || undefined}
      aria-label={label}
      data-limited={limit ? "" : undefined}
      style={limit}
    >
      {branches(roots)}
    </ul>
  );
}

export const view: DisplayView = { View: Tree, sheets: ["options.css", "tree/tree.css"] };
