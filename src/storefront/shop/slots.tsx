import type { ComponentChildren } from "preact";
import { bands } from "../../core/band/band.ts";
import type { Behaviour } from "../../core/behaviour/behaviour.ts";
import type { Placement } from "../../core/panel/placement.ts";
import { chipsOf } from "../panel/chips.ts";
import { ButtonText } from "../panel/drawer-button.tsx";
import type { PanelState } from "../panel/panel-state.ts";
import { blocksOf } from "./blocks.ts";
import { groupsOf, type PagePanel, placeOf } from "./page-panel.ts";
import { type PageState, panelState } from "./page-state.ts";

/** A panel as it stands on some bands on which it is drawn alike. */
export interface Placed {
  one: PagePanel;
  bands: string;
  placement: Placement;
  page: PageState;
  state: PanelState;
}

/** A panel once for each group of bands on which it is drawn alike, as far as there are states of them. */
export const placedOn = (one: PagePanel, states: readonly PageState[]): Placed[] =>
  groupsOf(one).flatMap((group): Placed[] => {
    const page = states.find(({ band }) => group.includes(band));
    if (!page) return [];
    return [{ one, bands: group.join(" "), placement: placeOf(one, group[0]), page, state: panelState(page, one) }];
  });

/** Names a panel on its bands among the others of the page. */
export const keyOf = ({ one, bands: on }: Placed): string => `${one.slug} ${on}`;

/** The panels of a slot, in their order. */
export function Slot({
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
          data-of={one.one.slug}
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
export function Article({
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
                data-of={one.one.slug}
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

/** What opens a panel’s drawer. */
export function DrawerButton({ one, open }: { one: Placed; open(): void }) {
  const { state, bands: on } = one;
  return (
    <button
      type="button"
      class="zt-drawer-button"
      data-bands={on}
      data-of={one.one.slug}
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
export const bandsOf = (placed: readonly Placed[]): string =>
  bands.filter((band) => placed.some((one) => one.bands.split(" ").includes(band))).join(" ");

/** How a sticky panel is told to the style sheet. */
const stickyOf = ({ sticky, nudge }: Behaviour) =>
  sticky ? { "data-sticky": "", style: { "--zt-nudge": `${nudge}px` } } : {};
