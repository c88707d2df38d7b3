import { engineFacets, facetRows } from "../../core/panel/document.ts";
import { percent } from "../shell/percent.ts";
import { useAnswer } from "../shell/shop-context.ts";
import { usePanel, useSession } from "./bench-context.ts";

/** What the present choices find, and what the panel's facets reach. */
export function EvidenceLine() {
  const panel = usePanel((state) => state.document);
  const selection = useSession((state) => state.selection);
  const answer = useAnswer({ facets: engineFacets(panel), selection, sort: "", from: 0, size: 0 });
  if (!answer) return <div className="h-11 flex-none border-t border-hair bg-base-100" />;
  const { total, outOf } = answer;
  const facets = facetRows(panel).flatMap(({ field }) => answer.facets[field] ?? []);
  const counted = facets.flatMap(({ range, counts }) => (range ? [] : Array.from(counts.live)));
  const least = facets.reduce((low, { reach }) => Math.min(low, reach), outOf);
  const nowhere = counted.filter((count) => count === 0).length;
  const options = counted.length;
  return (
    <output className="flex flex-none items-center gap-4 border-t border-hair bg-base-100 px-4 py-2.5 text-[13px] tabular-nums" aria-label="Evidence">
      <span>
        <b className="text-[15px]">{total}</b> of {outOf} found
      </span>
      <span className="border-s border-hair ps-4">
        least reach <b>{percent(least, outOf)}</b>
      </span>
      <span className="border-s border-hair ps-4">
        <b className={nowhere > 0 ? "text-error" : ""}>{nowhere}</b> of {options} options lead nowhere
      </span>
    </output>
  );
}
