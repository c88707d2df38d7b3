/** @jsxImportSource preact */
import { useState } from "preact/hooks";
import { pathSeparator } from "../../../core/index/facet-index.ts";
import type { DisplayProps, OptionView } from "../display.ts";
import { BoxOption } from "../option-input.tsx";

interface Node {
  option: OptionView;
  name: string;
  children: Node[];
}

/** Nested categories; branches fold, and open by themselves only around what is chosen when the page opens. */
export function Tree({ row, options, toggle, label }: DisplayProps) {
  const [open, setOpen] = useState<ReadonlySet<string>>(() => new Set(options.filter((option) => option.chosen).flatMap(({ id }) => ancestors(id))));
  const flip = (id: string) => {
    const next = new Set(open);
    if (!next.delete(id)) next.add(id);
    setOpen(next);
  };
  const branch = (nodes: Node[]) => (
    <ul class="zt-tree" aria-label={nodes === roots ? label : undefined}>
      {nodes.map(({ option, name, children }) => (
        <li key={option.id}>
          <div class="zt-node">
            {children.length > 0 ? (
              <button
                type="button"
                class="zt-twig"
                aria-expanded={open.has(option.id)}
                aria-label={`${open.has(option.id) ? "Fold" : "Open"} ${name}`}
                onClick={() => flip(option.id)}
              />
            ) : (
              <span class="zt-twig-space" />
            )}
            <BoxOption row={row} option={option} toggle={toggle} name={name} />
          </div>
          {children.length > 0 && open.has(option.id) ? branch(children) : null}
        </li>
      ))}
    </ul>
  );
  const roots = grow(options);
  return branch(roots);
}

/** The paths that stand above one. */
function ancestors(id: string): string[] {
  const levels = id.split(pathSeparator);
  return levels.slice(0, -1).map((_, depth) => levels.slice(0, depth + 1).join(pathSeparator));
}

function grow(options: readonly OptionView[]): Node[] {
  const nodes = new Map<string, Node>(
    options.map((option) => [option.id, { option, name: option.label.split(pathSeparator).at(-1) ?? "", children: [] }]),
  );
  const roots: Node[] = [];
  for (const [id, node] of nodes) {
    const above = nodes.get(ancestors(id).at(-1) ?? "");
    (above ? above.children : roots).push(node);
  }
  return roots;
}
