import { useMemo } from "react";
import { engineFacets, facetRows } from "../../core/panel/document.ts";
import { useOpenShop } from "../shell/shop-context.ts";
import { usePanel, useSession } from "./bench-context.ts";
import { percent } from "./reach.tsx";

/** What the present choices find, and what the panel's facets reach. */
export function EvidenceLine() {
  const { engine } = useOpenShop();
  const panel = usePanel((state) => state.panel);
  const selection = useSession((state) => state.selection);
  const { total, outOf, least, nowhere, options } = useMemo(() => {
    const answer = engine.ask({ facets: engineFacets(panel), selection, sort: "catalogue", from: 0, size: 0 });
    const rows = facetRows(panel).flatMap((row) => {
      const facet = answer.facets.get(row.field);
      return facet ? [{ row, facet }] : [];
    });
    const counted = rows.flatMap(({ facet }) => (facet.counts ? [...facet.counts.live] : []));
    return {
      total: answer.total,
      outOf: answer.outOf,
      least: rows.reduce((low, { facet }) => Math.min(low, facet.reach), answer.outOf),
      nowhere: counted.filter((count) => count === 0).length,
      options: counted.length,
    };
  }, [engine, panel, selection]);
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
