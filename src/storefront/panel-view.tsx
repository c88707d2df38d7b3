/** @jsxImportSource preact */
import { FacetView } from "./facet-view.tsx";
import type { Actions } from "./page-view.tsx";
import { PieceView } from "./pieces.tsx";
import type { PageState } from "./store.ts";

/** A panel's rows in order. It is a form, so that it also works without scripts. */
export function PanelView({ state, act }: { state: PageState; act: Actions }) {
  return (
    <form class="zt-panel" data-band={state.band} method="get" aria-label="Filters" onSubmit={(event) => event.preventDefault()}>
      {state.panel.rows.map((row) =>
        row.kind === "facet" ? (
          <FacetView key={row.id} row={row} state={state} act={act} />
        ) : (
          <PieceView key={row.id} row={row} state={state} act={act} />
        ),
      )}
      <noscript>
        <button type="submit" class="zt-apply">
          Show products
        </button>
      </noscript>
    </form>
  );
}
