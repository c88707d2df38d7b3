import type { Act } from "../../core/page/browse-state/browse-state.ts";
import { wordsIn } from "../../core/panel/options.ts";
import { bands } from "../../core/settings/band.ts";
import { placementFacts } from "../../core/settings/placement.ts";
import { Listing } from "../listing/listing.tsx";
import { SortBox } from "../listing/sort-box.tsx";
import { behaviourOn, placeOf } from "../page/page-panel.ts";
import type { PageState } from "../page/page-state.ts";
import { bandsOf, DrawerButton, PanelDrawer, type Placed, placedKey, placedOn } from "../page/placed.tsx";
import { Trouble } from "../page/trouble.tsx";
import { Count } from "../panel/count.tsx";
import { PanelView } from "../panel/panel-view.tsx";
import { Chosen } from "../panel/pieces.tsx";
import { RichText } from "../panel/rich-text.tsx";
import { Crumbs, ShopFrame } from "./shop-frame.tsx";
import { Article, Slot } from "./slots.tsx";

interface Props {
  /** One for each band before the width is known; afterwards only the present band's. */
  states: readonly PageState[];
  /** Performs a shopper's act. @param panel slug of the panel in which it was performed */
  perform(act: Act, panel?: string): void;
  /** Presses a panel's button. */
  apply(panel: string): void;
  openDrawer(panel: string | undefined): void;
}

/** A page of the stand-in shop: its name and text, its panels, and the products. */
export function PageView({ states, perform, apply, openDrawer }: Props) {
  const [state] = states;
  if (!state) return null;
  const { say, shown, layout, panels, selection } = state;
  const placed = panels.flatMap((one) => placedOn(one, states));
  const drawers = placed.filter(({ placement }) => placementFacts[placement].form === "drawer");
  const show = ({ state: own, one }: Placed) => (
    <PanelView
      state={own}
      perform={(act) => perform(act, one.slug)}
      apply={() => apply(one.slug)}
      action={one.target && state.base + one.target.address}
    />
  );
  const above = placed.filter(
    ({ state: own, placement }) => own.behaviour.chosen !== "panel" && !placementFacts[placement].apart,
  );
  const title = pageTitle(state);
  const isArticle = shown.kind === "article";
  const words = shown.kind === "search" ? selection.text : "";
  return (
    <ShopFrame
      around={state}
      address={shown.address}
      words={words}
      on={states.map(({ band }) => band)}
      header={<Slot name="header" placed={placed} show={show} />}
    >
      <Crumbs around={state} page={{ ...shown, title }} />
      <h1>{title}</h1>
      {isArticle ? (
        <Article html={shown.html} base={state.base} placed={placed} show={show} />
      ) : shown.html ? (
        <RichText class="zs-intro zt-text" html={shown.html} base={state.base} />
      ) : null}
      {isArticle && !layout.listing ? null : (
        <div class="zs-layout" {...sidesOf(state)}>
          <Slot name="left" placed={placed} show={show} />
          <section class="zs-listing" aria-label={say("products")}>
            <Slot name="above" placed={placed} show={show} />
            <div class="zs-tools">
              {drawers
                .filter(({ state: own }) => own.behaviour.buttonPlace !== "end")
                .map((one) => (
                  <DrawerButton key={placedKey(one)} one={one} open={() => openDrawer(one.one.slug)} />
                ))}
              <Count state={state} />
              <SortBox state={state} perform={perform} />
              {drawers
                .filter(({ state: own }) => own.behaviour.buttonPlace === "end")
                .map((one) => (
                  <DrawerButton key={placedKey(one)} one={one} open={() => openDrawer(one.one.slug)} />
                ))}
            </div>
            {above.slice(0, 1).map((one) => (
              <div key="chosen" class="zs-chosen" data-bands={bandsOf(above)} data-of={one.one.slug}>
                <Chosen state={one.page} perform={perform} label="" />
              </div>
            ))}
            <Trouble state={state} />
            <div class="zs-result" data-busy={busyOf(state)} aria-busy={state.answered ? undefined : true}>
              <Listing states={states} perform={perform}>
                <Slot name="nothing" placed={placed} show={show} />
              </Listing>
            </div>
          </section>
          <Slot name="right" placed={placed} show={show} />
        </div>
      )}
      {drawers.map((one) => (
        <PanelDrawer key={placedKey(one)} one={one} open={openDrawer}>
          {show(one)}
        </PanelDrawer>
      ))}
    </ShopFrame>
  );
}

/** By band, the sides of the products with panels. */
function sidesOf({ panels }: PageState): Record<string, string> {
  const sides = bands.map((band) => {
    const slots = panels.map((one) => placementFacts[placeOf(one, band)].slot);
    const on = (["left", "right"] as const).filter((side) => slots.includes(side));
    return [`data-${band}`, on.length === 2 ? "both" : (on[0] ?? "none")];
  });
  return Object.fromEntries(sides);
}

/** The name of a page, in the shopper's language. */
export function pageTitle({
  shown,
  say,
  language,
  selection,
}: Pick<PageState, "shown" | "say" | "language" | "selection">) {
  if (shown.kind === "shop") return say("allProducts");
  if (shown.kind === "search") {
    const words = selection.text.trim();
    return words === "" ? say("search") : say("resultsFor", { words });
  }
  return wordsIn({ text: shown.name, others: shown.names }, language);
}

/** The loading indicator: that of the page's first panel. */
const busyOf = ({ busy, panels, band }: PageState): string | undefined => {
  const [first] = panels;
  return busy ? (first ? behaviourOn(first.panel, band).busy : "fade") : undefined;
};
