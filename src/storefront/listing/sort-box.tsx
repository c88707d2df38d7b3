import { type UsualSort, usualSorts } from "../../core/match/sort-keys.ts";
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

/** The order of the products. */
export function SortBox({ state, perform }: { state: ListingState; perform: Perform }) {
  const { say, sort, fields } = state;
  return (
    <label class="zs-sort">
      <span class="zt-unseen">{say("sortBy")}</span>
      <select value={sort} onChange={(event) => perform({ do: "sort", sort: event.currentTarget.value })}>
        {usualSorts([...fields.values()]).map(({ sort: one, goesBy }) => (
          <option key={one} value={one}>
            {say(words[goesBy])}
          </option>
        ))}
      </select>
    </label>
  );
}
