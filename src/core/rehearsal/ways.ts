import type { Walk } from "./walk.ts";

/** Shoppers who are at one point of their way: at a facet as their first, second, … choice, or at their end. */
export interface WayNode {
  /** From 0. */
  step: number;
  /** Row of a facet, or how it ended. */
  at: string;
  ends: boolean;
  shoppers: number;
  /** Products that are left there on the mean. */
  left: number;
}

export interface WayLink {
  from: WayNode;
  to: WayNode;
  shoppers: number;
}

/** The ways of shoppers from facet to facet, for a picture. */
export interface Ways {
  nodes: WayNode[];
  links: WayLink[];
}

/** Facets that few take at a step stand together under this name. */
export const otherFacets = "";
/** How few, as a share of all shoppers. */
const few = 0.03;

/** The paths of all walks. @param steps columns of choices; of those who choose on, only the end is counted */
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
