import { type Atrule, type CssNode, generate, List, parse, type Rule, walk } from "css-tree";

/** The root element of everything in a handoff's panel. */
export const rootClass = "zt-root";
const inside = `:where(.${rootClass})`;

/** The layers of the tool's own style sheets, weakest first. */
const layers = ["base", "parts", "displays", "look", "custom"];

/**
 * Makes a style sheet robust on a site: limited to {@link rootClass}, in layers of its own, and every declaration
 * important, since only that outweighs a site's own `!important` on `label` or `*`. Among important declarations the
 * first layer is the strongest, so the layers are reversed. Source: CSS Cascading and Inheritance Level 5, 6.4.4.
 * @param css with the tool's layers
 * @param reset rules that undo the site's, weaker than all others
 */
export function isolateCss(css: string, reset: string): string {
  const sheet = parse(`${css}\n@layer reset {\n${reset}\n}`, { parseCustomProperty: false });
  const order = [...layers].reverse().concat("reset");
  dropLayerLists(sheet);
  walk(sheet, {
    visit: "Atrule",
    enter(node: Atrule) {
      if (node.name === "layer" && node.prelude && node.block)
        node.prelude = parse(`trellis.${generate(node.prelude)}`, {
          context: "atrulePrelude",
          atrule: "layer",
        }) as Atrule["prelude"];
    },
  });
  walk(sheet, {
    visit: "Rule",
    enter(node: Rule) {
      const within = this.atrule?.name ?? "";
      if (within.endsWith("keyframes")) return;
      if (node.prelude.type === "SelectorList")
        node.prelude.children = new List<CssNode>().fromArray(
          node.prelude.children
            .toArray()
            .map((selector) => parse(placedInside(generate(selector)), { context: "selector" })),
        );
      for (const declaration of node.block.children)
        if (declaration.type === "Declaration") declaration.important = true;
    },
  });
  return `@layer ${order.map((name) => `trellis.${name}`).join(", ")};\n${generate(sheet)}`;
}

/** The sheet's own order of layers is replaced. */
function dropLayerLists(sheet: CssNode): void {
  if (sheet.type !== "StyleSheet") return;
  sheet.children = sheet.children.filter(
    (node) => node.type !== "Atrule" || node.name !== "layer" || node.block !== null,
  );
}

/** A selector that matches only inside panels. */
const placedInside = (selector: string): string => {
  const root = /^(?::where\((?::root,? ?:host|:root)\)|:root|:host)/.exec(selector)?.[0];
  if (root !== undefined) return inside + selector.slice(root.length);
  const starts = [`.${rootClass}`, `:where(.${rootClass},`];
  return starts.some((start) => selector.startsWith(start)) ? selector : `${inside} ${selector}`;
};

/** A style sheet without custom properties that are never used. */
export function withoutUnusedProperties(css: string): string {
  const sheet = parse(css, { parseCustomProperty: false });
  const reads = (text: string) => [...text.matchAll(/var\(\s*(--[\w-]+)/g)].map(([, name]) => name ?? "");
  const values = new Map<string, string[]>();
  const read = new Set<string>();
  walk(sheet, {
    visit: "Declaration",
    enter({ property, value }) {
      const names = reads(generate(value));
      if (property.startsWith("--")) values.set(property, [...(values.get(property) ?? []), ...names]);
      else for (const name of names) read.add(name);
    },
  });
  for (const name of read) for (const next of values.get(name) ?? []) read.add(next);
  walk(sheet, {
    visit: "Declaration",
    enter({ property }, item, list) {
      if (property.startsWith("--zt-") && !read.has(property)) list?.remove(item);
    },
  });
  return generate(sheet);
}
