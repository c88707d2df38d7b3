import type { ComponentChildren } from "preact";
import { bands } from "../../core/settings/band.ts";
import { type Placement, placementFacts } from "../../core/settings/placement.ts";
import { chipsOf } from "../panel/chips.ts";
import { Drawer } from "../panel/drawer.tsx";
import { ButtonText, drawerWords } from "../panel/drawer-button.tsx";
import type { PanelState } from "../panel/panel-state.ts";
import { WithoutScripts } from "../panel/without-scripts.tsx";
import { groupsOf, type PagePanel, placeOf } from "./page-panel.ts";
import { type PageState, panelState } from "./page-state.ts";
import { Trouble } from "./trouble.tsx";

/** A panel on bands on which it is drawn alike. */
export interface Placed {
  one: PagePanel;
  bands: string;
  placement: Placement;
  page: PageState;
  state: PanelState;
}

/** A panel once for each group of bands on which it is drawn alike and that has a state. */
export const placedOn = (one: PagePanel, states: readonly PageState[]): Placed[] =>
  groupsOf(one).flatMap((group): Placed[] => {
    const page = states.find(({ band }) => group.includes(band));
    if (!page) return [];
    return [{ one, bands: group.join(" "), placement: placeOf(one, group[0]), page, state: panelState(page, one) }];
  });

/** The attributes of the element around a panel that is open in its place. */
export function placeMarks({ one, bands: on, placement, state }: Placed) {
  const marks = { "data-bands": on, "data-of": one.slug, "data-placement": placement };
  if (placementFacts[placement].form !== "inset") return marks;
  const { float, floatWidth } = state.behaviour;
  return { ...marks, class: "zt-inset", "data-float": float, style: { "--zt-float": `${floatWidth}px` } };
}

/** The key of a panel on its bands among the others of the page. */
export const placedKey = ({ one, bands: on }: Placed): string => `${one.slug} ${on}`;

/** The button that opens a panel’s drawer. */
export function DrawerButton({ one, open }: { one: Placed; open(): void }) {
  const { state, bands: on } = one;
  const marks = {
    class: "zt-drawer-button",
    "data-bands": on,
    "data-of": one.one.slug,
    "data-place": state.behaviour.buttonPlace,
    "data-active": chipsOf(state).length > 0 || undefined,
  };
  return (
    <>
      <button type="button" {...marks} aria-haspopup="dialog" onClick={open}>
        <ButtonText state={state} />
      </button>
      {/* Without scripts a link opens it. */}
      <WithoutScripts>
        <a {...marks} href={`#${drawerId(one)}`}>
          <ButtonText state={state} />
        </a>
      </WithoutScripts>
    </>
  );
}

const drawerId = ({ state }: Placed): string => `${state.id}-drawer`;

/** The bands of some panels. */
export const bandsOf = (placed: readonly Placed[]): string =>
  bands.filter((band) => placed.some((one) => one.bands.split(" ").includes(band))).join(" ");

interface Shown {
  one: Placed;
  /** The panel itself. */
  children: ComponentChildren;
}

/** A panel collapsed behind a button in its place. */
export const FoldedPanel = ({ one, children }: Shown) => (
  <details class="zt-folded" {...placeMarks(one)}>
    <summary class="zt-drawer-button">
      <ButtonText state={one.state} />
    </summary>
    {children}
  </details>
);

/** A panel in its drawer. @param open opens a panel's drawer; undefined closes it */
export const PanelDrawer = ({ one, open, children }: Shown & { open(panel: string | undefined): void }) => (
  <div {...placeMarks(one)}>
    <Drawer
      id={drawerId(one)}
      open={one.page.drawer === one.one.slug}
      title={drawerWords(one.state)}
      total={one.state.counted ? one.state.answer.total : undefined}
      say={one.page.say}
      from={one.state.behaviour.drawerFrom}
      width={one.state.behaviour.drawerWidth}
      ownButton={one.state.waits || one.state.leaves}
      close={() => open(undefined)}
    >
      <Trouble state={one.page} />
      {children}
    </Drawer>
  </div>
);
