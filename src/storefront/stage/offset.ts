import { stickyHeight } from "../../core/page/bars.ts";
import { behaviourOn } from "../page/page-panel.ts";
import type { PageStore } from "../page/store.ts";

/** Draws or removes the offset of the open sticky panel: the sticky bars, and the gap or overlap from the fine-tune. */
export function drawOffset(on: boolean, { state }: PageStore, slug: string): void {
  document.querySelector(".zt-offset")?.remove();
  const one = state.panels.find((panel) => panel.slug === slug);
  if (!on || !one) return;
  const { sticky, nudge } = behaviourOn(one.panel, state.band);
  const panel = document.querySelector<HTMLElement>(
    `:is([data-sticky], [data-row-sticky]) > [data-panel="${CSS.escape(slug)}"]`,
  );
  if (!sticky || !panel) return;
  const bars = stickyHeight(state.shop.bars, state.band);
  const { left, width } = panel.getBoundingClientRect();
  const line = document.createElement("div");
  line.className = "zt-offset";
  line.setAttribute("aria-hidden", "true");
  line.dataset.kind = nudge < 0 ? "overlap" : nudge > 0 ? "gap" : "flush";
  line.style.cssText = `left:${left}px;width:${width}px;height:${Math.max(0, bars + nudge)}px`;
  const words = nudge === 0 ? "" : nudge < 0 ? `, ${-nudge} px under the bars` : `, a gap of ${nudge} px`;
  line.textContent = `${bars + nudge} px${words}`;
  document.body.append(line);
}
