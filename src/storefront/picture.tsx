/** @jsxImportSource preact */
import { render } from "preact";
import type { Band } from "../core/panel/bands.ts";
import type { DisplayName, FacetRow } from "../core/panel/document.ts";
import { displays } from "./displays/index.ts";
import { FacetView } from "./facet-view.tsx";
import type { Actions } from "./page-view.tsx";
import type { PageState } from "./store.ts";

const still: Actions = { select() {}, search() {}, sort() {}, turn() {}, drawer() {} };

/** Draws one facet in one display into an element, as shoppers would see it and without a life of its own. */
export function drawFacet(into: Element, state: PageState, row: FacetRow, display: DisplayName, band: Band): void {
  const mode = displays[display].modes.includes(row.mode) ? row.mode : displays[display].modes[0];
  const settings: FacetRow["settings"] = { ...row.settings, start: "fixed", title: true, deadEnd: "keep", clearLink: false };
  const shown: FacetRow = { ...row, display: { wide: display }, mode, settings };
  render(<FacetView row={shown} state={{ ...state, band, marked: undefined }} act={still} />, into);
}

/** Takes a drawn facet away again. */
export const eraseFacet = (from: Element): void => render(null, from);
