import type { Act } from "../../core/page/browse-state/browse-state.ts";
import { placementFacts } from "../../core/settings/placement.ts";
import type { PagePanel } from "../page/page-panel.ts";
import type { PageState } from "../page/page-state.ts";
import {
  DrawerButton,
  FoldedPanel,
  PanelDrawer,
  type Placed,
  placedKey,
  placedOn,
  placeMarks,
} from "../page/placed.tsx";
import { Trouble } from "../page/trouble.tsx";
import { PanelView } from "../panel/panel-view.tsx";

interface Props {
  one: PagePanel;
  /** One for each band before the width is known; afterwards only the present band's. */
  states: readonly PageState[];
  /** Target of the plain form, if it is a different page. */
  action: string | undefined;
  perform(act: Act): void;
  apply(): void;
  openDrawer(panel: string | undefined): void;
}

/** A panel in its place on the site: open, behind a button or in a drawer, according to its placement on each band. */
export function PanelBody({ one, states, action, perform, apply, openDrawer }: Props) {
  const view = ({ state }: Placed) => <PanelView state={state} perform={perform} apply={apply} action={action} />;
  return (
    <>
      {placedOn(one, states).map((placed) => {
        switch (placementFacts[placed.placement].form) {
          case "hidden":
            return null;
          case "folded":
            return (
              <FoldedPanel key={placedKey(placed)} one={placed}>
                <Trouble state={placed.page} />
                {view(placed)}
              </FoldedPanel>
            );
          case "drawer":
            return [
              <DrawerButton key={`button ${placedKey(placed)}`} one={placed} open={() => openDrawer(one.slug)} />,
              <PanelDrawer key={placedKey(placed)} one={placed} open={openDrawer}>
                {view(placed)}
              </PanelDrawer>,
            ];
          default:
            return (
              <div
                key={placedKey(placed)}
                {...placeMarks(placed)}
                hidden={placementFacts[placed.placement].slot === "nothing" && placed.page.answer.total > 0}
              >
                <Trouble state={placed.page} />
                {view(placed)}
              </div>
            );
        }
      })}
    </>
  );
}
