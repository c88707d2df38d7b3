import { bestMatch, type StandardSort, standardSorts } from "../../core/engine/sort-keys.ts";
import { wordsIn } from "../../core/panel/options.ts";
import type { Perform } from "../panel/panel-state.ts";
import type { WordKey } from "../words/say.ts";
import type { ListingState } from "./listing-state.ts";

const words: Readonly<Record<StandardSort, WordKey>> = {
  shop: "sortShop",
  cheap: "sortCheap",
  dear: "sortDear",
  new: "sortNew",
  rated: "sortRated",
  name: "sortName",
};

/** A selectable order: its keys, and its label for shoppers. */
export interface SortOption {
  sort: string;
  label: string;
}

/** The selectable orders: the designer's, or the standard ones. The first is the page's default. */
export function sortChoices({
  say,
  order,
  fields,
  layout,
  language,
}: Pick<ListingState, "say" | "order" | "fields" | "layout" | "language">): SortOption[] {
  if (layout.sorts.length > 0)
    return layout.sorts.map(({ sort, label, labels }, at) => ({
      sort: at === 0 ? "" : sort,
      label: wordsIn({ text: label, others: labels }, language),
    }));
  return standardSorts([...fields.values()]).flatMap(({ sort, goesBy }) =>
    // Search results are sorted by relevance by default; the shop's order can be chosen.
    goesBy === "shop" && order === bestMatch
      ? [
          { sort: "", label: say("sortBest") },
          { sort: "shop", label: say("sortShop") },
        ]
      : [{ sort, label: say(words[goesBy]) }],
  );
}

/** The order of the products. */
export function SortBox({ state, perform }: { state: ListingState; perform: Perform }) {
  const { say, sort } = state;
  return (
    <label class="zs-sort">
      <span class="zt-unseen">{say("sortBy")}</span>
      <select value={sort} onChange={(event) => perform({ do: "sort", sort: event.currentTarget.value })}>
        {sortChoices(state).map(({ sort: one, label }) => (
          <option key={one} value={one}>
            {label}
          </option>
        ))}
      </select>
    </label>
  );
}
