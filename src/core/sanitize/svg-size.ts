import { parseDocument } from "htmlparser2";

type Node = ReturnType<typeof parseDocument>["children"][number];

/** Maximum nesting of elements, including used ones. */
const deepest = 500;

/**
 * Number of elements a browser draws for an SVG, counting everything used, filled, masked or clipped by reference each
 * time: a few nested uses can make millions. Infinity for circular references.
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
    // An element found again further down refers to itself.
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
