import { hydrate } from "preact";
import { useLayoutEffect, useState } from "preact/hooks";
import { bandAt } from "../../core/band/band.ts";
import { isSameSelection } from "../../core/match/selection.ts";
import { fromAddress, toAddress } from "../../core/place/address.ts";
import { startPlace } from "../../core/place/place.ts";
import { openEngine } from "../engine/open-engine.ts";
import { BasketContext } from "../listing/basket.ts";
import { withTouched } from "../page/early-choices.ts";
import { behaviourOn, displaysOf, facetsOf } from "../page/page-panel.ts";
import { answerAt, firstState } from "../page/page-state.ts";
import { PageStore } from "../page/store.ts";
import { loadViews } from "../panel/displays/load-views.ts";
import { putWords } from "../words/spoken.ts";
import type { Boot } from "./boot.ts";
import { PageView } from "./page-view.tsx";

/** Wakes the page that the server drew: fetches the catalogue, takes over the markup, and follows the address bar. */
async function start(): Promise<void> {
  const boot: Boot = JSON.parse(document.getElementById("zt-boot")?.textContent ?? "");
  const root = document.getElementById("zt-page");
  if (!root) throw new Error("There is no page to wake.");
  if (boot.words) putWords(boot.language, boot.words);
  const fields = new Map(boot.fields.map((field) => [field.key, field]));
  const fieldOf = (key: string) => fields.get(key);
  const band = bandAt(innerWidth, boot.limits);
  const facets = facetsOf(boot.panels, band);
  const place = boot.stage ? startPlace : fromAddress(location.search, facets, fieldOf);
  const [engine, stage] = await Promise.all([
    openEngine(boot),
    boot.stage ? import("../stage/stage.ts") : undefined,
    loadViews(displaysOf(boot.panels, [band])),
  ]);
  const store = new PageStore(
    firstState(
      boot,
      band,
      await answerAt(engine, { shown: boot.page, panels: boot.panels, band, fields, shop: boot.shop }, place),
      location.search,
    ),
    engine,
  );

  // The server drew the page for every band; this one's is taken over, and the others were never seen.
  for (const other of root.querySelectorAll<HTMLElement>("[data-bands]"))
    if (!other.dataset.bands?.split(" ").includes(band)) other.remove();
  // What was chosen while the page was still asleep counts too: the plain form says it as an address would.
  const selection = [...root.querySelectorAll<HTMLFormElement>("form.zt-panel")].reduce(
    (now, form) => withTouched(now, form, facets, fieldOf),
    store.state.selection,
  );
  // From here on nothing is waited for: a click in between would find half a page.
  hydrate(<Page store={store} />, root);
  addEventListener("resize", () => void widen(store));

  if (stage) stage.connectStage(store);
  else {
    let { page } = store.state;
    store.subscribe((state, change) => {
      if (change !== "place") return;
      const query = toAddress(state, fieldOf, location.search, state.asked);
      // More of the same is no step of its own: going back leads to where the shopper was before the page.
      const more = state.layout.more !== "pages" && state.page === page + 1;
      page = state.page;
      // The address is not in a hurry; the frame with the result goes first.
      setTimeout(() =>
        history[more ? "replaceState" : "pushState"](null, "", location.pathname + query + location.hash),
      );
    });
    addEventListener("popstate", () => {
      store.go(fromAddress(location.search, store.state.asked, fieldOf), "view");
      page = store.state.page;
    });
  }
  if (!isSameSelection(selection, store.state.selection)) store.go({ ...store.state, selection, page: 1 });
  document.documentElement.dataset.ready = "";
}

/** Follows the width of the window, with the views that another band wants. */
async function widen(store: PageStore): Promise<void> {
  await loadViews(displaysOf(store.state.panels, [bandAt(innerWidth, store.state.limits)]));
  store.setWidth(innerWidth);
}

/** Where a panel wants it, a choice leads back to the top of the results, as far as that is out of sight. */
function backToTop({ state }: PageStore, panel: string): void {
  const one = state.panels.find(({ slug }) => slug === panel);
  if (!one || behaviourOn(one.panel, state.band).back !== "top") return;
  const results = document.querySelector(".zs-result");
  if (results && results.getBoundingClientRect().top < 0) results.scrollIntoView();
}

/** Draws the page anew whenever its store changes. */
function Page({ store }: { store: PageStore }) {
  const [state, setState] = useState(store.state);
  useLayoutEffect(() => {
    setState(store.state);
    return store.subscribe(setState);
  }, [store]);
  const [count, setCount] = useState(0);
  return (
    <BasketContext.Provider value={{ count, add: () => setCount((now) => now + 1) }}>
      <PageView
        states={[state]}
        perform={(act, panel) => {
          if (panel === undefined) store.perform(act);
          else store.performIn(panel, act);
          if (act.do === "turn" && state.layout.more === "pages") scrollTo({ top: 0 });
          else if (panel !== undefined) backToTop(store, panel);
        }}
        apply={(panel) => {
          const elsewhere = store.apply(panel);
          store.openDrawer(undefined);
          if (elsewhere !== undefined) location.assign(state.base + elsewhere);
          else backToTop(store, panel);
        }}
        openDrawer={(panel) => {
          // A drawer that is left without its button forgets what was chosen in it.
          if (panel === undefined && store.state.drawer !== undefined) store.discard(store.state.drawer);
          store.openDrawer(panel);
        }}
      />
    </BasketContext.Provider>
  );
}

start().catch((error: Error) => {
  // The page that the server drew stays usable as a plain form.
  console.error(error);
});
