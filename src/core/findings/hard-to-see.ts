import { auditLook, type LookIssue } from "../look/audit.ts";
import { spokenToken } from "../look/edit.ts";
import type { TokenValues } from "../look/resolve.ts";
import { tokens } from "../look/tokens.ts";
import { partsOfFacet } from "../panel/look/parts-of.ts";
import type { DrawnIn, FindingDraft, FindingKind } from "./finding.ts";

const faults = (look: DrawnIn, own: TokenValues = {}): LookIssue[] =>
  auditLook({ values: { ...look.values, ...own }, dark: look.dark }).filter(({ offered }) => !offered);

const identity = ({ kind, token, state, scheme }: LookIssue): string => [kind, token, state, scheme].join();

/** A number for display: one decimal, or whole px. */
function told({ kind, is, needed }: LookIssue): string {
  if (kind === "same picture") return "the same when it is not chosen";
  return kind === "target"
    ? `${is} px where ${needed} px are needed`
    : `${is.toFixed(1)}:1 where ${needed}:1 is needed`;
}

function words(of: string, misses: readonly LookIssue[]): string | undefined {
  const [worst] = misses;
  if (!worst) return undefined;
  const token = tokens.get(worst.token);
  const name = token ? spokenToken({ ...token, state: worst.state }) : worst.token;
  const places = misses.length === 1 ? "one place" : `${misses.length} places`;
  return `${of} is hard to see or to tap in ${places}; the worst is “${name}”, ${told(worst)}.`;
}

/** A look, or what a facet sets apart from it, with too little contrast or too small targets. */
export const hardToSee: FindingKind = {
  name: "hard-to-see",
  level: "warning",
  needs: "look",
  find({ look, facets }) {
    if (!look) return [];
    const ofLook = faults(look);
    const known = new Set(ofLook.map(identity));
    const inAll = words("The look", ofLook);
    const found: FindingDraft[] = inAll === undefined ? [] : [{ words: inAll }];
    for (const { row, title } of facets) {
      const style = look.styles.find(({ id }) => id === row.style);
      const apart = { ...style?.values, ...row.look };
      if (Object.keys(apart).length === 0) continue;
      const drawn = new Set(partsOfFacet(row));
      const own = faults(look, apart).filter((miss) => drawn.has(miss.part) && !known.has(identity(miss)));
      const inFacet = words(`The own style of ${title}`, own);
      if (inFacet !== undefined) found.push({ row: row.id, words: inFacet });
    }
    return found;
  },
};
