import type { Perform } from "../panel/panel-state.ts";
import { Grid } from "./grid.tsx";
import type { ListingState } from "./listing-state.ts";
import { NothingFound } from "./nothing-found.tsx";
import { Pages } from "./pages.tsx";

/** The products that were found, page by page, or what to do when there are none. */
export function Listing({ state, perform }: { state: ListingState; perform: Perform }) {
  if (state.answer.total === 0) return <NothingFound state={state} perform={perform} />;
  return (
    <>
      <Grid state={state} />
      <Pages state={state} perform={perform} />
    </>
  );
}
