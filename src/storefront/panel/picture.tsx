import { render } from "preact";
import type { DisplayName } from "../../core/displays/displays.ts";
import { displays } from "../../core/displays/displays.ts";
import type { FacetRow, Row } from "../../core/panel/panel-schema.ts";
import { FacetView } from "./facet-view.tsx";
import type { PanelState } from "./panel-state.ts";
import { PieceView } from "./pieces.tsx";

const still = () => {};

/** A facet with another display: in a mode that it supports, expanded, with every option. */
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

/** Renders one row into an element as shoppers see it, but inert. */
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

/** Removes a rendered row. */
export const eraseRow = (from: Element): void => render(null, from);
