/** @jsxImportSource preact */
import { renderToString } from "preact-render-to-string";
import type { LocalEngine } from "../core/match/engine.ts";
import type { Band } from "../core/panel/bands.ts";
import { fromAddress, startPlace } from "./address.ts";
import { type Actions, PageView } from "./page-view.tsx";
import type { Boot } from "./shop-data.ts";
import { answerAt, firstState } from "./store.ts";

const nothing: Actions = { select() {}, search() {}, sort() {}, turn() {}, drawer() {} };

/** Draws a listing page as markup, for the address's selection; the browser takes it over. */
export function drawPage(boot: Boot, engine: LocalEngine, search: string, band: Band): string {
  const place = boot.stage ? startPlace : fromAddress(search, boot.panel, (key) => engine.index.field(key));
  return renderToString(<PageView state={firstState(boot, band, answerAt(engine, boot.panel, band, place))} act={nothing} />);
}
