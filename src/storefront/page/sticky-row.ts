import { freeScreenShare, minFreeShare } from "../../core/page/sticky-row.ts";

/** Height of the sticky row, for scrolling to a place below it. */
const kept = "--zs-kept";

/**
 * Makes a row above the products sticky as long as it leaves enough of the screen free. One that grows while it is
 * stuck, as when a facet is opened, stays and scrolls separately, so that all of it can be reached. Its style sheet
 * sets its offset.
 * @returns ends it
 */
export function keepRow(row: HTMLElement): () => void {
  const put = (state: "kept" | "tall" | "") => {
    if (row.dataset.rowSticky === state) return;
    row.dataset.rowSticky = state;
    if (state === "tall") addEventListener("scroll", judge, { passive: true });
    else removeEventListener("scroll", judge);
  };
  const judge = () => {
    const offset = Number.parseFloat(getComputedStyle(row).top) || 0;
    // The panel's full height, even if the row scrolls.
    const height = row.querySelector<HTMLElement>(".zt-panel")?.offsetHeight ?? row.offsetHeight;
    const fits = freeScreenShare(offset, height, innerHeight) >= minFreeShare;
    const { top } = row.getBoundingClientRect();
    const isStuck = row.dataset.rowSticky !== "" && top <= offset + 1;
    put(fits ? "kept" : isStuck ? "tall" : "");
    document.documentElement.style.setProperty(kept, row.dataset.rowSticky === "" ? "0px" : `${row.offsetHeight}px`);
  };
  const seen = new ResizeObserver(judge);
  seen.observe(row);
  for (const child of row.children) seen.observe(child);
  addEventListener("resize", judge);
  judge();
  return () => {
    seen.disconnect();
    removeEventListener("resize", judge);
    removeEventListener("scroll", judge);
    document.documentElement.style.removeProperty(kept);
    delete row.dataset.rowSticky;
  };
}
