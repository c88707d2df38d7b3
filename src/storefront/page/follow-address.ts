import { type FieldOf, fromAddress, toAddress } from "../../core/page/browse-state/address.ts";
import type { PageState } from "./page-state.ts";
import { Steps } from "./steps.ts";
import type { PageStore } from "./store.ts";

/** The history entry of an open drawer. */
const drawerEntry = { drawer: true } as const;
const isDrawerEntry = (): boolean =>
  typeof history.state === "object" && history.state !== null && "drawer" in history.state;

/**
 * Keeps the address bar and a page in step: a choice is an entry of the browser's history, and going back reverts it.
 * An open drawer has an entry too, so that going back closes it first, whatever was chosen in it.
 */
export function followAddress(store: PageStore, fieldOf: FieldOf): void {
  const steps = new Steps(() => store.state.layout.more === "pages");
  let before = store.state;
  let open = store.state.drawer !== undefined;
  const address = (place: PageState) =>
    location.pathname + toAddress(place, fieldOf, location.search, place.asked) + location.hash;
  store.subscribe((state, change) => {
    if ((state.drawer !== undefined) !== open) {
      open = !open;
      if (open) history.pushState(drawerEntry, "");
      // By then, a button that applies choices has closed the drawer and removed its entry.
      else setTimeout(() => !open && isDrawerEntry() && history.back());
    }
    const was = before;
    before = state;
    if (change !== "place") return;
    const goesOn = steps.goesOn(was, state, performance.now());
    // The address can wait; the frame with the result comes first. The first choice in a drawer reuses its entry.
    setTimeout(() => history[goesOn || isDrawerEntry() ? "replaceState" : "pushState"](null, "", address(state)));
  });
  addEventListener("popstate", () => {
    if (store.state.drawer !== undefined) {
      const here = address(store.state);
      open = false;
      store.discard(store.state.drawer);
      store.openDrawer(undefined);
      // The choices stay; only the drawer is closed.
      if (here !== location.pathname + location.search + location.hash) history.pushState(null, "", here);
      return;
    }
    steps.rest();
    store.go(fromAddress(location.search, store.state.asked, fieldOf), "view");
  });
}
