import { parseDocument } from "htmlparser2";

type Node = ReturnType<typeof parseDocument>["children"][number];

/** Levels of elements in elements, used ones included, beyond which no picture is taken apart. */
const deepest = 500;

/**
 * How many elements a browser draws for an SVG when everything that is used, filled with, masked or clipped by is drawn
 * where it is named: a few nested uses of uses make millions. Infinity where something is made of itself.
 */
export function drawnElements(svg: string): number {
  const { children } = parseDocument(svg, { xmlMode: true });
  const named = new Map<string, Node>();
  const sizes = new Map<Node, number>();
  const waiting: Node[] = [...children];
  for (let node = waiting.pop(); node; node = waiting.pop()) {
    if (!("attribs" in node)) continue;
    if (node.attribs.id !== undefined) named.set(node.attribs.id, node);
    waiting.push(...node.children);
  }
  const sizeOf = (node: Node, depth: number): number => {
    if (!("attribs" in node)) return 0;
    if (depth > deepest) return Number.POSITIVE_INFINITY;
    const known = sizes.get(node);
    if (known !== undefined) return known;
    // Whoever meets it again on the way down goes in a circle.
    sizes.set(node, Number.POSITIVE_INFINITY);
    const meant = Object.values(node.attribs).flatMap((value) => {
      const id = /^\s*(?:url\(\s*['"]?)?#([^'")\s]+)/i.exec(value)?.[1];
      const target = id === undefined ? undefined : named.get(id);
      return target ? [target] : [];
    });
    const size = [...node.children, ...meant].reduce((sum, one) => sum + sizeOf(one, depth + 1), 1);
    sizes.set(node, size);
    return size;
  };
  return children.reduce((sum, node) => sum + sizeOf(node, 0), 0);
}
