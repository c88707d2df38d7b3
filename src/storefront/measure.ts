import type { Measure } from "../core/evidence/findings.ts";

const padding = 20;

/**
 * How high a panel's rows stand on the present page, in CSS px. A panel in a closed drawer is laid out
 * nowhere, so a copy of it is measured at the drawer's width, out of sight.
 */
export function measurePage(): Measure | undefined {
  const panel = document.querySelector<HTMLElement>(".zt-panel");
  const grid = document.querySelector(".zs-grid, .zs-nothing");
  if (!panel) return undefined;
  const laidOut = panel.getClientRects().length > 0;
  const shown = laidOut ? panel : copyOutOfSight(panel);
  const rows: Record<string, number> = {};
  for (const row of shown.querySelectorAll<HTMLElement>("[data-row]")) rows[row.dataset.row ?? ""] = Math.round(row.getBoundingClientRect().height);
  const height = Math.round(shown.getBoundingClientRect().height);
  if (!laidOut) shown.parentElement?.remove();
  return { rows, panel: height, screen: innerHeight, products: Math.round((grid?.getBoundingClientRect().top ?? 0) + scrollY) };
}

function copyOutOfSight(panel: HTMLElement): HTMLElement {
  const drawer = panel.closest<HTMLElement>(".zt-drawer");
  const width = Math.min(360, innerWidth * 0.88) - 2 * padding;
  const box = document.createElement("div");
  box.className = drawer?.className ?? "";
  box.inert = true;
  box.setAttribute("aria-hidden", "true");
  box.style.cssText = `position:absolute;visibility:hidden;inset-block-start:0;inset-inline-start:-9999px;width:${width}px;height:auto;contain:layout`;
  const copy = panel.cloneNode(true) as HTMLElement;
  box.append(copy);
  document.body.append(box);
  return copy;
}
