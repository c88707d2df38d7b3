import { useRef } from "preact/hooks";
import { facetRows } from "../../core/panel/panel.ts";
import { heldBack } from "../../core/place/address.ts";
import { FacetView } from "./facet-view.tsx";
import type { PanelState, Perform } from "./panel-state.ts";
import { PieceView } from "./pieces.tsx";
import { useSight } from "./use-sight.ts";

/** A panel's rows in order. It is a form, so that it also works without scripts. */
export function PanelView({ state, perform }: { state: PanelState; perform: Perform }) {
  const { panel, slug, say, query } = state;
  const form = useRef<HTMLFormElement>(null);
  const inSight = useSight(form, panel.rows);
  const searches = panel.rows.some((row) => row.kind === "piece" && row.piece === "search");
  return (
    <form
      ref={form}
      class="zt-panel"
      data-panel={slug}
      method="get"
      aria-label={say("filters")}
      onSubmit={(event) => event.preventDefault()}
    >
      {heldBack(query, facetRows(panel), searches).map(([name, value], at) => (
        <input key={at} type="hidden" name={name} value={value} />
      ))}
      {panel.rows.map((row) =>
        row.kind === "facet" ? (
          <FacetView key={row.id} row={row} state={state} perform={perform} inSight={inSight(row.id)} />
        ) : (
          <PieceView key={row.id} row={row} state={state} perform={perform} />
        ),
      )}
      <noscript>
        <button type="submit" class="zt-apply">
          {say("show")}
        </button>
      </noscript>
    </form>
  );
}
