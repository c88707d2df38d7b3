import { type FieldOf, fromAddress, toAddress } from "../../core/place/address.ts";
import type { PageState } from "./page-state.ts";
import type { PageStore } from "./store.ts";

/** What the browser's history keeps of an entry that stands for an open drawer. */
const drawerEntry = { drawer: true } as const;
const isDrawerEntry = (): boolean =>
  typeof history.state === "object" && history.state !== null && "drawer" in history.state;

/**
 * Keeps the address bar and a page in step: a choice is an entry of the browser's history, and going back takes it
 * back. An open drawer has an entry too, so that going back closes it first, whatever was chosen in it.
 */
export function followAddress(store: PageStore, fieldOf: FieldOf): void {
  let { page } = store.state;
  let open = store.state.drawer !== undefined;
  const address = (place: PageState) =>
    location.pathname + toAddress(place, fieldOf, location.search, place.asked) + location.hash;
  store.subscribe((state, change) => {
    if ((state.drawer !== undefined) !== open) {
      open = !open;
      if (open) history.pushState(drawerEntry, "");
      else if (isDrawerEntry()) history.back();
    }
    if (change !== "place") return;
    // More of the same is no step of its own: going back leads to where the shopper was before the page.
    const more = state.layout.more !== "pages" && state.page === page + 1;
    page = state.page;
    // The address is not in a hurry; the frame with the result goes first. The first choice in a drawer takes its entry.
    setTimeout(() => history[more || isDrawerEntry() ? "replaceState" : "pushState"](null, "", address(state)));
  });
  addEventListener("popstate", () => {
    if (store.state.drawer !== undefined) {
      const here = address(store.state);
      open = false;
      store.discard(store.state.drawer);
      store.openDrawer(undefined);
      // What was chosen stays; only the drawer is gone.
      if (here !== location.pathname + location.search + location.hash) history.pushState(null, "", here);
      return;
    }
    store.go(fromAddress(location.search, store.state.asked, fieldOf), "view");
    page = store.state.page;
  });
}
