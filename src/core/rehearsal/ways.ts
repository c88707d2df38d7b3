import type { Walk } from "./walk.ts";

/** Shoppers at the same point: at a facet as their first, second, … choice, or at their end. */
export interface WayNode {
  /** From 0. */
  step: number;
  /** Row of a facet, or the ending. */
  at: string;
  ends: boolean;
  shoppers: number;
  /** Mean number of products left there. */
  left: number;
}

export interface WayLink {
  from: WayNode;
  to: WayNode;
  shoppers: number;
}

/** Flows of shoppers from facet to facet, for a diagram. */
export interface Ways {
  nodes: WayNode[];
  links: WayLink[];
}

/** Rarely used facets of a step are combined under this name. */
export const otherFacets = "";
/** Share of all shoppers below which a facet is combined with others. */
const few = 0.03;

/** The paths of all walks. @param steps number of choices shown; of longer walks only the end is counted */
export function waysOf(walks: readonly Walk[], steps = 3): Ways {
  const taken = new Map<string, number>();
  for (const { moves } of walks)
    for (const [step, { row }] of moves.entries()) taken.set(`${step} ${row}`, (taken.get(`${step} ${row}`) ?? 0) + 1);
  const named = (step: number, row: string) =>
    (taken.get(`${step} ${row}`) ?? 0) < few * walks.length ? otherFacets : row;
  const nodes = new Map<string, WayNode & { sum: number }>();
  const links = new Map<string, WayLink>();
  const nodeAt = (step: number, at: string, ends: boolean) => {
    const key = `${step} ${ends} ${at}`;
    const known = nodes.get(key) ?? { step, at, ends, shoppers: 0, left: 0, sum: 0 };
    nodes.set(key, known);
    return known;
  };
  for (const { moves, ending, left } of walks) {
    const path: { at: string; ends: boolean; left: number }[] = [
      ...moves.slice(0, steps).map(({ row, after }, step) => ({ at: named(step, row), ends: false, left: after })),
      { at: ending, ends: true, left },
    ];
    let before: WayNode | undefined;
    for (const [step, { at, ends, left: now }] of path.entries()) {
      const node = nodeAt(step, at, ends);
      node.shoppers++;
      node.sum += now;
      if (before) {
        const key = `${before.step} ${before.at} ${at} ${ends}`;
        const link = links.get(key) ?? { from: before, to: node, shoppers: 0 };
        link.shoppers++;
        links.set(key, link);
      }
      before = node;
    }
  }
  for (const node of nodes.values()) node.left = node.sum / node.shoppers;
  return { nodes: [...nodes.values()], links: [...links.values()] };
}
