import { hydrate } from "preact";
import { useCallback, useLayoutEffect, useMemo, useState } from "preact/hooks";
import { isSameSelection } from "../../core/engine/selection.ts";
import { bandAt } from "../../core/settings/band.ts";
import { openEngine } from "../engine/open-engine.ts";
import { BasketContext } from "../listing/basket.ts";
import { afterFrame } from "../page/after-frame.ts";
import { withTouched } from "../page/early-choices.ts";
import type { Drawn } from "../page/first-answers.ts";
import { followAddress } from "../page/follow-address.ts";
import { Leaving, leaveFor } from "../page/leaving.ts";
import { behaviourOn, facetsOf } from "../page/page-panel.ts";
import { firstState, questionOf } from "../page/page-state.ts";
import { PageStore } from "../page/store.ts";
import { putAllViews } from "../panel/displays/all.ts";
import { type Peek, PeekContext } from "../panel/peek.ts";
import { putWords } from "../words/spoken.ts";
import type { Boot } from "./boot.ts";
import { PageView } from "./page-view.tsx";

/** Hydrates the page drawn by the server, with the answer it was drawn from, and follows the address bar. */
async function start(): Promise<void> {
  putAllViews();
  const boot: Boot = readJson("zt-boot");
  const root = document.getElementById("zt-page");
  if (!root) throw new Error("No page data.");
  if (boot.words) putWords(boot.language, boot.words);
  const fields = new Map(boot.fields.map((field) => [field.key, field]));
  const fieldOf = (key: string) => fields.get(key);
  const band = bandAt(innerWidth, boot.limits);
  const facets = facetsOf(boot.panels, band);
  const drawn = readJson<Drawn[]>("zt-drawn").find(({ bands }) => bands.includes(band));
  if (!drawn) throw new Error("No page data.");
  const asking = { shown: boot.page, panels: boot.panels, band, fields, shop: boot.shop };
  const { engine, awake } = openEngine(boot, { question: questionOf(asking, drawn.place), answer: drawn.answer });
  const stage = boot.stage ? await import("../stage/stage.ts") : undefined;
  const store = new PageStore(firstState(boot, band, drawn, location.search), engine);

  // The server drew the page for every band; this one's is hydrated, and the others were never visible.
  for (const other of root.querySelectorAll<HTMLElement>("[data-bands]"))
    if (!other.dataset.bands?.split(" ").includes(band)) other.remove();
  // Includes choices made before the page was ready, read from the plain form.
  const selection = [...root.querySelectorAll<HTMLFormElement>("form.zt-panel")].reduce(
    (now, form) => withTouched(now, form, facets, fieldOf),
    store.state.selection,
  );
  // Synchronous from here: a click in between would meet half a page.
  hydrate(<Page store={store} stage={stage} />, root);
  addEventListener("resize", () => store.setWidth(innerWidth));

  if (stage) stage.connectStage(store);
  else followAddress(store, fieldOf);
  if (!isSameSelection(selection, store.state.selection)) store.go({ ...store.state, selection, page: 1 });
  document.documentElement.dataset.ready = "";
  awake();
}

const readJson = <T,>(id: string): T => JSON.parse(document.getElementById(id)?.textContent ?? "");

/** After a choice, scrolls to the top of the results if the panel wants it and they are out of sight. */
function backToTop({ state }: PageStore, panel: string): void {
  const one = state.panels.find(({ slug }) => slug === panel);
  if (!one || behaviourOn(one.panel, state.band).back !== "top") return;
  const results = document.querySelector(".zs-result");
  if (results && results.getBoundingClientRect().top < 0) results.scrollIntoView();
}

/** Only for the designer's frames. */
type Stage = typeof import("../stage/stage.ts");

/** Rerenders the page when its store changes. */
function Page({ store, stage }: { store: PageStore; stage: Stage | undefined }) {
  const [state, setState] = useState(store.state);
  useLayoutEffect(() => {
    setState(store.state);
    return store.subscribe(setState);
  }, [store]);
  const [count, setCount] = useState(0);
  const apply = useCallback(
    (panel: string) => {
      const elsewhere = store.apply(panel);
      store.openDrawer(undefined);
      if (elsewhere === undefined) backToTop(store, panel);
      else if (stage) stage.leaveOnStage(elsewhere, store.drafted(panel));
      else leaveFor(store, panel, store.state.base + elsewhere);
    },
    [store, stage],
  );
  const leaving = useMemo(() => new Leaving(store, apply), [store, apply]);
  const peek = useCallback<Peek>((panel, act) => store.peek(panel, act), [store]);
  return (
    <BasketContext.Provider value={{ count, add: () => setCount((now) => now + 1) }}>
      <PeekContext.Provider value={peek}>
        <PageView
          states={[state]}
          perform={(act, panel) =>
            afterFrame(() => {
              if (panel === undefined) store.perform(act);
              else {
                store.performIn(panel, act);
                leaving.after(act, panel);
              }
              if (act.do === "turn" && state.layout.more === "pages") scrollTo({ top: 0 });
              else if (panel !== undefined) backToTop(store, panel);
            })
          }
          // After earlier acts: Enter in a field is a choice and presses the button.
          apply={(panel) => afterFrame(() => apply(panel))}
          openDrawer={(panel) => {
            // Closing a drawer without its button discards the choices made in it.
            if (panel === undefined && store.state.drawer !== undefined) store.discard(store.state.drawer);
            store.openDrawer(panel);
          }}
        />
      </PeekContext.Provider>
    </BasketContext.Provider>
  );
}

start().catch((error: Error) => {
  // The page drawn by the server remains usable as a plain form.
  console.error(error);
});
