import type { PageMeasure } from "../../core/findings/measure.ts";

/**
 * Heights of a panel's rows on the present page, in CSS px. A panel in a closed drawer is not laid out, so a copy of
 * it is measured at the drawer's width, out of sight.
 */
export function measurePage(slug: string): PageMeasure | undefined {
  const panel = document.querySelector<HTMLElement>(`.zt-panel[data-panel="${CSS.escape(slug)}"]`);
  const products = document.querySelector(".zs-products, .zs-nothing");
  if (!panel) return undefined;
  const laidOut = panel.getClientRects().length > 0;
  const shown = laidOut ? panel : copyOutOfSight(panel);
  const rows: Record<string, number> = {};
  for (const row of shown.querySelectorAll<HTMLElement>("[data-row]")) rows[row.dataset.row ?? ""] = heightOf(row);
  const height = heightOf(shown);
  if (!laidOut) shown.parentElement?.remove();
  const bars = [...document.querySelectorAll(".zs-fixed")]
    .filter((bar) => getComputedStyle(bar).position === "sticky")
    .reduce((sum, bar) => sum + heightOf(bar), 0);
  const top = (products?.getBoundingClientRect().top ?? 0) + scrollY;
  return { rows, panel: height, bars, products: Math.round(top) - bars, cards: cardsOf(products) };
}

/** Number of cards or table lines per row, and the height of a row; undefined if there is only one row. */
function cardsOf(products: Element | null): PageMeasure["cards"] {
  const all = [...(products?.querySelectorAll(".zs-card, tbody tr") ?? [])]
    .filter((card) => card.getClientRects().length > 0)
    .map((card) => card.getBoundingClientRect().top);
  const columns = all.findIndex((top) => top > (all[0] ?? 0) + 1);
  return columns > 0 ? { columns, height: Math.round((all[columns] ?? 0) - (all[0] ?? 0)) } : undefined;
}

const heightOf = (element: Element): number => Math.round(element.getBoundingClientRect().height);

function copyOutOfSight(panel: HTMLElement): HTMLElement {
  const drawer = panel.closest<HTMLElement>(".zt-drawer");
  const style = drawer ? getComputedStyle(drawer) : undefined;
  const [widest, share, padding] = ["--zt-drawer-width", "--zt-drawer-share", "--zt-drawer-padding"].map((name) =>
    Number.parseFloat(style?.getPropertyValue(name) ?? ""),
  );
  const width = Math.min(widest || innerWidth, (innerWidth * (share || 100)) / 100) - 2 * (padding || 0);
  const box = document.createElement("div");
  box.className = drawer?.className ?? "";
  box.inert = true;
  box.setAttribute("aria-hidden", "true");
  box.style.cssText = `position:absolute;visibility:hidden;inset-block-start:0;inset-inline-start:-9999px;width:${width}px;height:auto;contain:layout`;
  const copy = panel.cloneNode(true);
  if (!(copy instanceof HTMLElement)) throw new TypeError("A copy of an element is one.");
  box.append(copy);
  // Inside the shop, whose custom properties it needs.
  (drawer?.parentElement ?? document.body).append(box);
  return copy;
}
