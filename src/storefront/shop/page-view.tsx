import type { ComponentChildren } from "preact";
import { bands } from "../../core/band/band.ts";
import type { Behaviour } from "../../core/behaviour/behaviour.ts";
import { wordsIn } from "../../core/panel/options.ts";
import type { Placement } from "../../core/panel/placement.ts";
import type { Act } from "../../core/place/place.ts";
import { Listing } from "../listing/listing.tsx";
import { SortBox } from "../listing/sort-box.tsx";
import { chipsOf } from "../panel/chips.ts";
import { Count } from "../panel/count.tsx";
import { Drawer } from "../panel/drawer.tsx";
import { ButtonText } from "../panel/drawer-button.tsx";
import type { PanelState } from "../panel/panel-state.ts";
import { PanelView } from "../panel/panel-view.tsx";
import { Chosen } from "../panel/pieces.tsx";
import { blocksOf } from "./blocks.ts";
import { behaviourOn, groupsOf, type PagePanel, placeOf } from "./page-panel.ts";
import { type PageState, panelState } from "./page-state.ts";
import { Crumbs, ShopFrame } from "./shop-frame.tsx";

interface Props {
  /** One for each band before a width is known; afterwards that of the present one. */
  states: readonly PageState[];
  /** Does what a shopper has asked for. @param panel slug of the panel that it was asked in */
  perform(act: Act, panel?: string): void;
  /** Presses a panel's button. */
  apply(panel: string): void;
  openDrawer(panel: string | undefined): void;
}

/** A panel as it stands on some bands on which it is drawn alike. */
interface Placed {
  one: PagePanel;
  bands: string;
  placement: Placement;
  page: PageState;
  state: PanelState;
}

/** A page of the stand-in shop: its name and text, its panels where they stand, and the products. */
export function PageView({ states, perform, apply, openDrawer }: Props) {
  const [state] = states;
  if (!state) return null;
  const { say, shown, layout, panels, selection } = state;
  const placed = panels.flatMap((one) => placedOn(one, states));
  const at = (...places: Placement[]) => placed.filter(({ placement }) => places.includes(placement));
  const show = ({ state: own, one }: Placed) => (
    <PanelView
      state={own}
      perform={(act) => perform(act, one.slug)}
      apply={() => apply(one.slug)}
      action={one.target && state.base + one.target.address}
    />
  );
  const above = placed.filter(
    ({ state: own, placement }) =>
      own.behaviour.chosen !== "panel" && !["absent", "article", "nothing"].includes(placement),
  );
  const title = titleOf(state);
  const isArticle = shown.kind === "article";
  const words = shown.kind === "search" ? selection.text : "";
  return (
    <ShopFrame
      around={state}
      address={shown.address}
      words={words}
      on={states.map(({ band }) => band)}
      header={<Slot name="header" placed={at("header")} show={show} />}
    >
      <Crumbs around={state} page={{ ...shown, title }} />
      <h1>{title}</h1>
      {isArticle ? (
        <Article html={shown.html} placed={at("article")} show={show} />
      ) : shown.html ? (
        // biome-ignore lint/security/noDangerouslySetInnerHtml: the text was cleaned before it was saved, and is refused when it was not
        <div class="zs-intro zt-text" dangerouslySetInnerHTML={{ __html: shown.html }} />
      ) : null}
      {isArticle && !layout.listing ? null : (
        <div class="zs-layout" {...sidesOf(state)}>
          <Slot name="left" placed={at("left")} show={show} />
          <section class="zs-listing" aria-label={say("products")}>
            <Slot name="above" placed={at("above")} show={show} />
            {at("folded").map((one) => (
              <details key={keyOf(one)} class="zt-folded" data-bands={one.bands} data-placement="folded">
                <summary class="zt-drawer-button">
                  <ButtonText state={one.state} />
                </summary>
                {show(one)}
              </details>
            ))}
            <div class="zs-tools">
              {at("drawer")
                .filter(({ state: own }) => own.behaviour.buttonPlace !== "end")
                .map((one) => (
                  <DrawerButton key={keyOf(one)} one={one} open={() => openDrawer(one.one.slug)} />
                ))}
              <Count state={state} />
              <SortBox state={state} perform={perform} />
              {at("drawer")
                .filter(({ state: own }) => own.behaviour.buttonPlace === "end")
                .map((one) => (
                  <DrawerButton key={keyOf(one)} one={one} open={() => openDrawer(one.one.slug)} />
                ))}
            </div>
            {above.slice(0, 1).map((one) => (
              <div key="chosen" class="zs-chosen" data-bands={bandsOf(above)}>
                <Chosen state={one.page} perform={perform} label="" />
              </div>
            ))}
            {/* Always there, so that what it says is read out. */}
            <p class="zs-trouble" role="alert">
              {state.trouble ? <span>{say("trouble")}</span> : null}
            </p>
            <div class="zs-result" data-busy={busyOf(state)}>
              <Listing states={states} perform={perform}>
                <Slot name="nothing" placed={at("nothing")} show={show} />
              </Listing>
            </div>
          </section>
          <Slot name="right" placed={at("right")} show={show} />
        </div>
      )}
      {at("drawer").map((one) => (
        <div key={keyOf(one)} data-bands={one.bands} data-placement="drawer">
          <Drawer
            open={one.page.drawer === one.one.slug}
            total={one.state.answer.total}
            say={say}
            from={one.state.behaviour.drawerFrom}
            width={one.state.behaviour.drawerWidth}
            ownButton={one.state.waits}
            close={() => openDrawer(undefined)}
          >
            {show(one)}
          </Drawer>
        </div>
      ))}
    </ShopFrame>
  );
}

/** A panel once for each group of bands on which it is drawn alike, as far as there are states of them. */
const placedOn = (one: PagePanel, states: readonly PageState[]): Placed[] =>
  groupsOf(one).flatMap((group): Placed[] => {
    const page = states.find(({ band }) => group.includes(band));
    if (!page) return [];
    return [{ one, bands: group.join(" "), placement: placeOf(one, group[0]), page, state: panelState(page, one) }];
  });

const keyOf = ({ one, bands: on }: Placed): string => `${one.slug} ${on}`;

/** The panels of a slot, in their order. */
function Slot({
  name,
  placed,
  show,
}: {
  name: Placement;
  placed: readonly Placed[];
  show(one: Placed): ComponentChildren;
}) {
  if (placed.length === 0) return null;
  const Tag = name === "left" || name === "right" ? "aside" : "div";
  return (
    <Tag class={`zs-slot zs-${name}`} data-bands={bandsOf(placed)}>
      {placed.map((one) => (
        <div
          key={keyOf(one)}
          data-bands={one.bands}
          data-placement={name}
          {...(Tag === "aside" ? stickyOf(one.state.behaviour) : {})}
        >
          {show(one)}
        </div>
      ))}
    </Tag>
  );
}

/** The text of an article, with the panels that stand in it after the blocks that they stand after. */
function Article({
  html,
  placed,
  show,
}: {
  html: string;
  placed: readonly Placed[];
  show(one: Placed): ComponentChildren;
}) {
  const blocks = blocksOf(html);
  const after = ({ one }: Placed) => Math.min(one.after ?? 0, blocks.length);
  return (
    <div class="zs-article">
      {[...blocks, ""].map((block, at) => (
        <div key={at} class="zs-block">
          {placed
            .filter((one) => after(one) === at)
            .map((one) => (
              <div
                key={keyOf(one)}
                class="zs-inset"
                data-bands={one.bands}
                data-placement="article"
                data-float={one.state.behaviour.float}
                style={{ "--zs-float": `${one.state.behaviour.floatWidth}px` }}
              >
                {show(one)}
              </div>
            ))}
          {block ? (
            // biome-ignore lint/security/noDangerouslySetInnerHtml: the text was cleaned before it was saved, and is refused when it was not
            <div class="zt-text" dangerouslySetInnerHTML={{ __html: block }} />
          ) : null}
        </div>
      ))}
    </div>
  );
}

/** By band, at which sides of the products panels stand. */
function sidesOf({ panels }: PageState): Record<string, string> {
  const sides = bands.map((band) => {
    const places = panels.map((one) => placeOf(one, band));
    const on = (["left", "right"] as const).filter((side) => places.includes(side));
    return [`data-${band}`, on.length === 2 ? "both" : (on[0] ?? "none")];
  });
  return Object.fromEntries(sides);
}

/** What a page is called, in the shopper's language. */
export function titleOf({
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

function DrawerButton({ one, open }: { one: Placed; open(): void }) {
  const { state, bands: on } = one;
  return (
    <button
      type="button"
      class="zt-drawer-button"
      data-bands={on}
      data-place={state.behaviour.buttonPlace}
      aria-haspopup="dialog"
      data-active={chipsOf(state).length > 0 || undefined}
      onClick={open}
    >
      <ButtonText state={state} />
    </button>
  );
}

/** The bands that some panels are on. */
const bandsOf = (placed: readonly Placed[]): string =>
  bands.filter((band) => placed.some((one) => one.bands.split(" ").includes(band))).join(" ");

/** How a sticky panel is told to the style sheet. */
const stickyOf = ({ sticky, nudge }: Behaviour) =>
  sticky ? { "data-sticky": "", style: { "--zt-nudge": `${nudge}px` } } : {};

/** What shows while results are under way: what the first panel of the page says. */
const busyOf = ({ busy, panels, band }: PageState): string | undefined => {
  const [first] = panels;
  return busy ? (first ? behaviourOn(first.panel, band).busy : "fade") : undefined;
};
