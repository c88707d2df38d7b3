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
  /** Presses the panel's button, where what is chosen waits for one. */
  apply(): void;
  /** Where the plain form leads to, when that is another page. */
  action?: string | undefined;
}

/** A panel's rows in order. It is a form, so that it also works without scripts. */
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
      // Whoever comes back finds nothing ticked that does nothing.
      autocomplete={leaves ? "off" : undefined}
      aria-label={say("filters")}
      // The page itself, without what stands behind “#”: that has opened the drawer, and would again.
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
        // Chosen filters that stand above the products are not said twice.
        row.kind === "piece" && row.piece === "chosen" && behaviour.chosen === "above" ? null : row.kind === "facet" ? (
          <FacetView key={row.id} row={row} state={state} perform={perform} inSight={inSight(row.id)} />
        ) : (
          <PieceView key={row.id} row={row} state={state} perform={perform} />
        ),
      )}
      {waits ? (
        // Its number keeps it honest: it tells what it would find before it is pressed.
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
