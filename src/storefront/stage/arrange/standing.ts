import { placementFacts, placements, type Slot } from "../../../core/settings/placement.ts";
import type { Area, Standing } from "./act.ts";

/** Placements to which a panel can be dragged: rows and columns whose slot is known on the page. */
const targets = placements.filter((one) => ["row", "column"].includes(placementFacts[one].form));

/** The present positions of a panel's rows, the other panels and the slots. @param slug of the open panel */
export function standingNow(slug: string): Standing {
  const panels = [...document.querySelectorAll<HTMLElement>(".zt-panel[data-panel]")];
  const own = panels.find(({ dataset }) => dataset.panel === slug);
  const laidOut = (element: Element): Area[] => {
    const { left, top, right, bottom, width } = element.getBoundingClientRect();
    return width === 0 ? [] : [{ left, top, right, bottom }];
  };
  return {
    rows: [...(own?.querySelectorAll<HTMLElement>("[data-row]") ?? [])].flatMap((element) =>
      laidOut(element).map((area) => ({ ...area, id: element.dataset.row ?? "" })),
    ),
    panels: panels
      .filter((element) => element !== own)
      .flatMap((element) => laidOut(element).map((area) => ({ ...area, slug: element.dataset.panel ?? "" }))),
    slots: targets.flatMap((placement) => {
      const area = areaOf(placementFacts[placement].slot);
      return area ? [{ ...area, slot: placement }] : [];
    }),
  };
}

function areaOf(slot: Slot | undefined): Area | undefined {
  const layout = document.querySelector(".zs-layout")?.getBoundingClientRect();
  const main = document.querySelector(".zs-main")?.getBoundingClientRect();
  if (!layout || !main) return undefined;
  const side = Math.min(264, layout.width / 3);
  const top = Math.max(layout.top, 100);
  const bottom = Math.min(layout.bottom, innerHeight - 10);
  switch (slot) {
    case "left":
      return { left: layout.left, right: layout.left + side, top, bottom };
    case "right":
      return { left: layout.right - side, right: layout.right, top, bottom };
    case "above":
      return { left: layout.left + side + 10, right: layout.right - side - 10, top, bottom: top + 120 };
    case "header":
      return { left: main.left, right: main.right, top: Math.max(0, top - 70), bottom: top - 8 };
    default:
      return undefined;
  }
}
