import { stickyHeight } from "../../core/page/bars.ts";
import { markIn } from "./marks.ts";
import type { OpenGroup } from "./open-group.ts";

/** Scrolls the top of a group's results into view if it is above the window, or below the site's bars. */
export function showResults({ group, shop, store }: OpenGroup): void {
  const results = markIn(group.name, "list") ?? document.querySelector("trellis-listing");
  if (!results) return;
  const { top } = results.getBoundingClientRect();
  const covered = stickyHeight(shop.bars, store.state.band);
  if (top < covered) scrollBy({ top: top - covered });
}
