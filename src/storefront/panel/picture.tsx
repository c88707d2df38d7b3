import { render } from "preact";
import type { DisplayName } from "../../core/displays/displays.ts";
import { displays } from "../../core/displays/displays.ts";
import type { FacetRow, Row } from "../../core/panel/panel-schema.ts";
import { FacetView } from "./facet-view.tsx";
import type { PanelState } from "./panel-state.ts";
import { PieceView } from "./pieces.tsx";

const still = () => {};

/** A facet as it would be in another display: in a mode that it can carry, laid open, with every option. */
export function pictureRow(row: FacetRow, display: DisplayName): FacetRow {
  const { modes } = displays[display];
  const settings: FacetRow["settings"] = {
    ...row.settings,
    start: "fixed",
    title: true,
    emptyOptions: "keep",
    clearLink: false,
  };
  return { ...row, display: { wide: display }, mode: modes.includes(row.mode) ? row.mode : modes[0], settings };
}

/** Draws one row into an element, as shoppers would see it and without a life of its own. */
export function drawRow(into: Element, state: PanelState, row: Row): void {
  into.setAttribute("data-band", state.band);
  const alone = { ...state, marked: undefined };
  const drawn =
    row.kind === "piece" ? (
      <PieceView row={row} state={alone} perform={still} />
    ) : (
      <FacetView row={row} state={alone} perform={still} inSight />
    );
  render(drawn, into);
}

/** Takes a drawn row away again. */
export const eraseRow = (from: Element): void => render(null, from);
