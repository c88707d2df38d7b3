import { useRef } from "preact/hooks";
import { otherParameters } from "../../core/page/browse-state/address.ts";
import { facetRows } from "../../core/panel/panel.ts";
import { FacetView } from "./facet-view.tsx";
import type { PanelState, Perform } from "./panel-state.ts";
import { PieceView } from "./pieces.tsx";
import { useVisibleRows } from "./use-visible-rows.ts";
import { WithoutScripts } from "./without-scripts.tsx";

interface Props {
  state: PanelState;
  perform: Perform;
  /** Presses the panel's button, if choices wait for one. */
  apply(): void;
  /** Target of the plain form, if it is a different page. */
  action?: string | undefined;
}

/** A panel's rows in order. A form, so that it also works without scripts. */
export function PanelView({ state, perform, apply, action }: Props) {
  const { panel, slug, say, query, names, waits, leaves, counted, answer, behaviour } = state;
  const form = useRef<HTMLFormElement>(null);
  const inSight = useVisibleRows(form, panel.rows);
  const searches = panel.rows.some((row) => row.kind === "piece" && row.piece === "search");
  return (
    <form
      ref={form}
      class="zt-panel"
      data-panel={slug}
      method="get"
      // A shopper who comes back must not find boxes ticked by the browser that have no effect.
      autocomplete={leaves ? "off" : undefined}
      aria-label={say("filters")}
      // The page without its fragment, which opened the drawer and would open it again.
      action={action ?? "?"}
      onSubmit={(event) => {
        event.preventDefault();
        if (waits || leaves) apply();
      }}
    >
      {otherParameters(query, facetRows(panel), searches, names).map(([name, value], at) => (
        <input key={at} type="hidden" name={name} value={value} />
      ))}
      {panel.rows.map((row) =>
        // Chosen filters shown above the products are not repeated.
        row.kind === "piece" && row.piece === "chosen" && behaviour.chosen === "above" ? null : row.kind === "facet" ? (
          <FacetView key={row.id} row={row} state={state} perform={perform} inSight={inSight(row.id)} />
        ) : (
          <PieceView key={row.id} row={row} state={state} perform={perform} />
        ),
      )}
      {waits ? (
        // It shows the number of products before it is pressed.
        <div class="zt-apply-row">
          <button type="submit" class="zt-apply">
            {counted ? say("showFound", { n: answer.total }) : say("show")}
          </button>
        </div>
      ) : (
        <WithoutScripts>
          <div class="zt-apply-row">
            <button type="submit" class="zt-apply">
              {say("show")}
            </button>
          </div>
        </WithoutScripts>
      )}
    </form>
  );
}
