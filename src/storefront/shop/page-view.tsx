import { resolve } from "../../core/band/band.ts";
import type { BandGroup } from "../../core/panel/band-groups.ts";
import type { Placement } from "../../core/panel/placement.ts";
import { Listing } from "../listing/listing.tsx";
import { SortBox } from "../listing/sort-box.tsx";
import { chipsOf } from "../panel/chips.ts";
import { Count } from "../panel/count.tsx";
import { Drawer } from "../panel/drawer.tsx";
import type { Perform } from "../panel/panel-state.ts";
import { PanelView } from "../panel/panel-view.tsx";
import type { PageState } from "./page-state.ts";

/** The page for a group of bands on which it is the same. */
export interface Copy {
  group: BandGroup;
  state: PageState;
}

interface Props {
  /** One for each group of bands before a width is known; afterwards that of the present one. */
  copies: readonly Copy[];
  perform: Perform;
  openDrawer(open: boolean): void;
}

/** The stand-in shop's listing page: fixed bars, heading, the panel where it is placed, and the products. */
export function PageView({ copies, perform, openDrawer }: Props) {
  const [first] = copies;
  if (!first) return null;
  const { state } = first;
  const { shop, say, panel } = state;
  const placed = copies.map(({ group, state: own }) => ({
    bands: group.join(" "),
    state: own,
    placement: resolve(panel.placement, group[0]),
    view: <PanelView state={own} perform={perform} />,
  }));
  const at = (...places: Placement[]) => placed.filter(({ placement }) => places.includes(placement));
  return (
    <div
      class="zs-shop"
      data-wide={resolve(panel.placement, "wide")}
      data-medium={resolve(panel.placement, "medium")}
      data-slim={resolve(panel.placement, "slim")}
    >
      <div class="zs-notice">{say("welcome", { shop: shop.name })}</div>
      <header class="zs-bar">
        <span class="zs-name">{shop.name}</span>
        <span class="zs-basket">{say("basket", { n: 0 })}</span>
      </header>
      <main class="zs-main">
        <h1>{say("allProducts")}</h1>
        <div class="zs-layout">
          {at("left", "right").map(({ bands, placement, view }) => (
            <aside key={bands} class="zs-side" data-bands={bands} data-placement={placement}>
              {view}
            </aside>
          ))}
          <section class="zs-listing" aria-label={say("products")}>
            {at("above").map(({ bands, view }) => (
              <div key={bands} class="zs-above" data-bands={bands} data-placement="above">
                {view}
              </div>
            ))}
            <div class="zs-tools">
              {at("drawer").map(({ bands, state: own }) => (
                <DrawerButton key={bands} bands={bands} state={own} open={() => openDrawer(true)} />
              ))}
              <Count state={state} />
              <SortBox state={state} perform={perform} />
            </div>
            {/* Always there, so that what it says is read out. */}
            <p class="zs-trouble" role="alert">
              {state.trouble ? <span>{say("trouble")}</span> : null}
            </p>
            <Listing state={state} perform={perform} />
          </section>
        </div>
      </main>
      <footer class="zs-foot">{shop.name}</footer>
      {at("drawer").map(({ bands, state: own, view }) => (
        <div key={bands} data-bands={bands} data-placement="drawer">
          <Drawer open={own.drawerOpen} total={own.answer.total} say={say} close={() => openDrawer(false)}>
            {view}
          </Drawer>
        </div>
      ))}
    </div>
  );
}

function DrawerButton({ bands, state, open }: { bands: string; state: PageState; open(): void }) {
  const chosen = chipsOf(state).length;
  return (
    <button
      type="button"
      class="zt-drawer-button"
      data-bands={bands}
      aria-haspopup="dialog"
      data-active={chosen > 0 || undefined}
      onClick={open}
    >
      {state.say("filters")}
      {chosen > 0 ? <span class="zt-badge">{chosen}</span> : null}
    </button>
  );
}
