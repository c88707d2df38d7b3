import { hydrate } from "preact";
import { useLayoutEffect, useState } from "preact/hooks";
import { bandAt } from "../../core/band/band.ts";
import { isSameSelection } from "../../core/match/selection.ts";
import { groupOn } from "../../core/panel/band-groups.ts";
import { engineFacets } from "../../core/panel/panel.ts";
import { fromAddress, toAddress } from "../../core/place/address.ts";
import { startPlace } from "../../core/place/place.ts";
import { openEngine } from "../engine/open-engine.ts";
import { loadViews } from "../panel/displays/load-views.ts";
import { putWords } from "../words/spoken.ts";
import type { Boot } from "./boot.ts";
import { withTouched } from "./early-choices.ts";
import { answerAt, displaysOf, firstState } from "./page-state.ts";
import { PageView } from "./page-view.tsx";
import { PageStore } from "./store.ts";

/** Wakes the page that the server drew: fetches the catalogue, takes over the markup, and follows the address bar. */
async function start(): Promise<void> {
  const boot: Boot = JSON.parse(document.getElementById("zt-boot")?.textContent ?? "");
  const root = document.getElementById("zt-page");
  if (!root) throw new Error("There is no page to wake.");
  if (boot.words) putWords(boot.language, boot.words);
  const fields = new Map(boot.fields.map((field) => [field.key, field]));
  const fieldOf = (key: string) => fields.get(key);
  const band = bandAt(innerWidth, boot.limits);
  const facets = engineFacets(boot.panel, band);
  const place = boot.stage ? startPlace : fromAddress(location.search, facets, fieldOf);
  const [engine, stage] = await Promise.all([
    openEngine(boot),
    boot.stage ? import("../stage/stage.ts") : undefined,
    loadViews(displaysOf(boot.panel, [band])),
  ]);
  const store = new PageStore(
    firstState(boot, band, await answerAt(engine, boot.panel, band, place), location.search),
    engine,
  );

  // The server drew the page for every band; this one's is taken over, and the others were never seen.
  const group = groupOn(boot.panel, band).join(" ");
  for (const other of root.querySelectorAll<HTMLElement>("[data-bands]"))
    if (other.dataset.bands !== group) other.remove();
  // What was chosen while the page was still asleep counts too: the plain form says it as an address would.
  const early = root.querySelector<HTMLFormElement>("form.zt-panel");
  const selection = early ? withTouched(store.state.selection, early, facets, fieldOf) : store.state.selection;
  // From here on nothing is waited for: a click in between would find half a page.
  hydrate(<Page store={store} />, root);
  addEventListener("resize", () => void widen(store));

  if (stage) stage.connectStage(store);
  else {
    store.subscribe((state, change) => {
      if (change !== "place") return;
      // The address is not in a hurry; the frame with the result goes first.
      const query = toAddress(state, fieldOf, location.search, engineFacets(state.panel, state.band));
      setTimeout(() => history.pushState(null, "", location.pathname + query + location.hash));
    });
    addEventListener("popstate", () =>
      store.go(fromAddress(location.search, engineFacets(store.state.panel, store.state.band), fieldOf), "view"),
    );
  }
  if (!isSameSelection(selection, store.state.selection)) store.go({ ...store.state, selection, page: 1 });
  document.documentElement.dataset.ready = "";
}

/** Follows the width of the window, with the views that another band wants. */
async function widen(store: PageStore): Promise<void> {
  await loadViews(displaysOf(store.state.panel, [bandAt(innerWidth, store.state.limits)]));
  store.setWidth(innerWidth);
}

/** Draws the page anew whenever its store changes. */
function Page({ store }: { store: PageStore }) {
  const [state, setState] = useState(store.state);
  useLayoutEffect(() => {
    setState(store.state);
    return store.subscribe(setState);
  }, [store]);
  return (
    <PageView
      copies={[{ group: groupOn(state.panel, state.band), state }]}
      perform={(act) => {
        store.perform(act);
        if (act.do === "turn") scrollTo({ top: 0 });
      }}
      openDrawer={(open) => store.openDrawer(open)}
    />
  );
}

start().catch((error: Error) => {
  // The page that the server drew stays usable as a plain form.
  console.error(error);
});
