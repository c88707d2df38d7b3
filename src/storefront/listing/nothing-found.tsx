import { ChipList } from "../panel/chip-list.tsx";
import { chipsOf } from "../panel/chips.ts";
import type { Perform } from "../panel/panel-state.ts";
import type { ListingState } from "./listing-state.ts";

/** What stands in the place of products when nothing fits: every choice, to be taken back. */
export function NothingFound({ state, perform }: { state: ListingState; perform: Perform }) {
  const { say } = state;
  return (
    <div class="zs-nothing">
      <h3>{say("nothingFits")}</h3>
      <p>{say("takeBack")}</p>
      <ChipList chips={chipsOf(state)} say={say} perform={perform}>
        <li>
          <button type="button" class="zt-clear" onClick={() => perform({ do: "clear" })}>
            {say("clearAll")}
          </button>
        </li>
      </ChipList>
    </div>
  );
}
