import type { Measure } from "../core/evidence/findings.ts";
import type { Selection } from "../core/match/selection.ts";
import type { Band } from "../core/panel/bands.ts";
import type { PanelDocument } from "../core/panel/document.ts";
import { direction } from "./direction.ts";
import { measurePage } from "./measure.ts";
import type { PageStore } from "./store.ts";

/** From the bench to a page on its stage. */
export type ToStage =
  | { zt: "panel"; panel: PanelDocument }
  | { zt: "selection"; selection: Selection }
  | { zt: "mark"; row: string | undefined }
  | { zt: "language"; language: string }
  | { zt: "drawer"; open: boolean };

/** From a page on the stage to the bench. */
export type FromStage =
  | { zt: "ready" }
  | { zt: "selection"; selection: Selection }
  | { zt: "drawer"; open: boolean }
  /** How high the rows stand, a moment after each change. */
  | { zt: "measured"; band: Band; measure: Measure }
  /** The row that the designer points at on the page. */
  | { zt: "point"; row: string | undefined };

/** Layout settles before it is measured; many changes at once are measured once. */
const settle = 250;

/** Lets the bench that holds this page in a frame set its panel and share its selection with other frames. */
export function connectStage(store: PageStore): void {
  const tell = (message: FromStage) => parent.postMessage(message, location.origin);

  addEventListener("message", (event: MessageEvent<ToStage>) => {
    if (event.origin !== location.origin || event.source !== parent) return;
    const message = event.data;
    if (message.zt === "panel") {
      store.setPanel(message.panel);
      store.setWidth(innerWidth);
    } else if (message.zt === "selection") store.go({ selection: message.selection, sort: store.state.sort, page: 1 }, "stage");
    else if (message.zt === "mark") store.mark(message.row);
    else if (message.zt === "language") {
      store.setLanguage(message.language);
      document.documentElement.lang = message.language;
      document.documentElement.dir = direction(message.language);
    } else if (message.zt === "drawer") store.openDrawer(message.open);
  });
  let open = store.state.drawerOpen;
  store.subscribe((state, change) => {
    if (change === "place") tell({ zt: "selection", selection: state.selection });
    if (state.drawerOpen !== open) {
      open = state.drawerOpen;
      tell({ zt: "drawer", open });
    }
  });

  let timer: ReturnType<typeof setTimeout> | undefined;
  const measureSoon = () => {
    clearTimeout(timer);
    timer = setTimeout(() => {
      const measure = measurePage();
      if (measure) tell({ zt: "measured", band: store.state.band, measure });
    }, settle);
  };
  store.subscribe(measureSoon);
  measureSoon();

  let pointed: string | undefined;
  document.addEventListener("pointerover", (event) => {
    const row = event.target instanceof Element ? event.target.closest<HTMLElement>("[data-row]")?.dataset.row : undefined;
    if (row === pointed) return;
    pointed = row;
    tell({ zt: "point", row });
  });
  document.documentElement.addEventListener("pointerleave", () => {
    pointed = undefined;
    tell({ zt: "point", row: undefined });
  });
  tell({ zt: "ready" });
}
