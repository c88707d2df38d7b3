/** @jsxImportSource preact */
import "./storefront.css";
import { hydrate } from "preact";
import { useLayoutEffect, useState } from "preact/hooks";
import { type Band, bandAt } from "../core/panel/bands.ts";
import { fromAddress, startPlace, toAddress } from "./address.ts";
import { openEngine } from "./engines.ts";
import { type Actions, PageView } from "./page-view.tsx";
import type { Boot } from "./shop-data.ts";
import { answerAt, firstState, PageStore } from "./store.ts";

/** Wakes the page that the server drew: fetches the catalogue, takes over the markup, and follows the address bar. */
async function start(): Promise<void> {
  const boot: Boot = JSON.parse(document.getElementById("zt-boot")?.textContent ?? "");
  const root = document.getElementById("zt-page") as HTMLElement;
  const engine = await openEngine(boot);
  const fields = new Map(boot.fields.map((field) => [field.key, field]));
  const fieldOf = (key: string) => fields.get(key);
  const place = boot.stage ? startPlace : fromAddress(location.search, boot.panel, fieldOf);
  // The markup is the server's until it has been taken over, so the first state is on the server's band.
  const drawn = root.firstElementChild?.getAttribute("data-band") as Band | null;
  const band = drawn ?? bandAt(innerWidth, boot.panel.limits);
  const store = new PageStore(firstState(boot, band, await answerAt(engine, boot.panel, band, place)), engine);

  const act: Actions = {
    select: (selection) => store.select(selection),
    search: (text) => store.select({ ...store.state.selection, text }),
    sort: (sort) => store.go({ ...store.state, sort, page: 1 }),
    turn: (page) => {
      store.go({ ...store.state, page });
      scrollTo({ top: 0 });
    },
    drawer: (open) => store.openDrawer(open),
  };

  hydrate(<Page store={store} act={act} />, root);
  store.setWidth(innerWidth);
  addEventListener("resize", () => store.setWidth(innerWidth));

  if (boot.stage) (await import("./stage.ts")).connectStage(store);
  else {
    store.subscribe((state, change) => {
      if (change !== "place") return;
      // The address is not in a hurry; the frame with the result goes first.
      const address = location.pathname + toAddress(state, fieldOf);
      setTimeout(() => history.pushState(null, "", address));
    });
    addEventListener("popstate", () => store.go(fromAddress(location.search, store.state.panel, fieldOf), "view"));
  }
  document.documentElement.dataset.ready = "";
}

/** Draws the page anew whenever its store changes. */
function Page({ store, act }: { store: PageStore; act: Actions }) {
  const [state, setState] = useState(store.state);
  useLayoutEffect(() => {
    setState(store.state);
    return store.subscribe(setState);
  }, [store]);
  return <PageView state={state} act={act} />;
}

start().catch((error: Error) => {
  // The page that the server drew stays usable as a plain form.
  console.error(error);
});
