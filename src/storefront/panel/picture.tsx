import { render } from "preact";
import type { DisplayName } from "../../core/display/displays.ts";
import { displays } from "../../core/display/displays.ts";
import type { FacetRow } from "../../core/panel/panel-schema.ts";
import { FacetView } from "./facet-view.tsx";
import type { PanelState } from "./panel-state.ts";

const still = () => {};

/** A facet as it would be in another display: in a mode that it can carry, laid open, with every option. */
export function pictureRow(row: FacetRow, display: DisplayName): FacetRow {
  const { modes } = displays[display];
  const settings: FacetRow["settings"] = {
    ...row.settings,
    start: "fixed",
    title: true,
    deadEnd: "keep",
    clearLink: false,
  };
  return { ...row, display: { wide: display }, mode: modes.includes(row.mode) ? row.mode : modes[0], settings };
}

/** Draws one facet into an element, as shoppers would see it and without a life of its own. */
export function drawFacet(into: Element, state: PanelState, row: FacetRow): void {
  into.setAttribute("data-band", state.band);
  render(<FacetView row={row} state={{ ...state, marked: undefined }} perform={still} inSight />, into);
}

/** Takes a drawn facet away again. */
export const eraseFacet = (from: Element): void => render(null, from);
