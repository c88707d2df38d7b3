/** @jsxImportSource preact */
import type { Sort } from "../core/match/order.ts";
import { isEmpty, type Selection } from "../core/match/selection.ts";
import { resolve } from "../core/panel/bands.ts";
import { chipsOf } from "./chips.ts";
import { Drawer } from "./drawer.tsx";
import { Count, Grid, Pages, SortBox } from "./listing.tsx";
import { PanelView } from "./panel-view.tsx";
import type { PageState } from "./store.ts";

/** What a shopper can do on a page. */
export interface Actions {
  select(selection: Selection): void;
  search(text: string): void;
  sort(sort: Sort): void;
  turn(page: number): void;
  drawer(open: boolean): void;
}

/** The stand-in shop's listing page: fixed bars, heading, the panel where it is placed, and the products. */
export function PageView({ state, act }: { state: PageState; act: Actions }) {
  const placement = resolve(state.panel.placement, state.band);
  const panel = <PanelView state={state} act={act} />;
  const chosen = chipsOf(state).length;
  return (
    <div class="zs-shop" data-band={state.band} data-placement={placement}>
      <div class="zs-notice">Welcome to {state.shop.name}</div>
      <header class="zs-bar">
        <span class="zs-name">{state.shop.name}</span>
        <span class="zs-basket">Basket 0</span>
      </header>
      <main class="zs-main">
        <h1>All products</h1>
        <div class="zs-layout">
          {placement === "left" || placement === "right" ? <aside class="zs-side">{panel}</aside> : null}
          <section class="zs-listing" aria-label="Products">
            {placement === "above" ? panel : null}
            <div class="zs-tools">
              {placement === "drawer" ? (
                <button
                  type="button"
                  class="zt-drawer-button"
                  aria-haspopup="dialog"
                  data-active={!isEmpty(state.selection) || undefined}
                  onClick={() => act.drawer(true)}
                >
                  Filters{chosen > 0 ? <span class="zt-badge">{chosen}</span> : null}
                </button>
              ) : null}
              <Count state={state} />
              <SortBox state={state} act={act} />
            </div>
            <Grid state={state} act={act} />
            <Pages state={state} act={act} />
          </section>
        </div>
      </main>
      <footer class="zs-foot">{state.shop.name}</footer>
      {placement === "drawer" ? (
        <Drawer open={state.drawerOpen} total={state.answer.total} close={() => act.drawer(false)}>
          {panel}
        </Drawer>
      ) : null}
    </div>
  );
}
