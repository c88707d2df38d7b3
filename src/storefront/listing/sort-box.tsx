import { bestMatch, type UsualSort, usualSorts } from "../../core/match/sort-keys.ts";
import { wordsIn } from "../../core/panel/options.ts";
import type { Perform } from "../panel/panel-state.ts";
import type { WordKey } from "../words/say.ts";
import type { ListingState } from "./listing-state.ts";

const words: Readonly<Record<UsualSort, WordKey>> = {
  shop: "sortShop",
  cheap: "sortCheap",
  dear: "sortDear",
  new: "sortNew",
  rated: "sortRated",
  name: "sortName",
};

/** The order of the products: the designer's choices, or the usual ones. The first is what the page is in by itself. */
export function SortBox({ state, perform }: { state: ListingState; perform: Perform }) {
  const { say, sort, order, fields, layout, language } = state;
  const choices =
    layout.sorts.length > 0
      ? layout.sorts.map(({ sort: one, label, labels }, at) => ({
          sort: at === 0 ? "" : one,
          label: wordsIn({ text: label, others: labels }, language),
        }))
      : usualSorts([...fields.values()]).flatMap(({ sort: one, goesBy }) =>
          // What is searched for stands in the order of how well it fits, and the shop's is one to be chosen.
          goesBy === "shop" && order === bestMatch
            ? [
                { sort: "", label: say("sortBest") },
                { sort: "shop", label: say("sortShop") },
              ]
            : [{ sort: one, label: say(words[goesBy]) }],
        );
  return (
    <label class="zs-sort">
      <span class="zt-unseen">{say("sortBy")}</span>
      <select value={sort} onChange={(event) => perform({ do: "sort", sort: event.currentTarget.value })}>
        {choices.map(({ sort: one, label }) => (
          <option key={one} value={one}>
            {label}
          </option>
        ))}
      </select>
    </label>
  );
}
