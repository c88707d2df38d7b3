import { Fragment } from "preact";
import { type Perform, queryTo } from "../panel/panel-state.ts";
import type { ListingState } from "./listing-state.ts";

/** Links to the pages of the result: the first, the last and those around the present one. */
export function Pages({ state, perform }: { state: ListingState; perform: Perform }) {
  const { say, answer, layout } = state;
  const last = Math.ceil(answer.total / layout.size);
  if (last < 2) return null;
  const numbers = Array.from({ length: last }, (_, i) => i + 1).filter(
    (n) => n === 1 || n === last || Math.abs(n - state.page) < 2,
  );
  const link = (page: number) => queryTo(state, { ...state, page }) || "?";
  return (
    <nav class="zs-pages" aria-label={say("pages")}>
      {numbers.map((page, i) => (
        <Fragment key={page}>
          {page - (numbers[i - 1] ?? page) > 1 ? <span aria-hidden="true">…</span> : null}
          <a
            href={link(page)}
            aria-label={say("page", { n: page })}
            aria-current={page === state.page ? "page" : undefined}
            onClick={(event) => {
              event.preventDefault();
              perform({ do: "turn", page });
            }}
          >
            {page}
          </a>
        </Fragment>
      ))}
    </nav>
  );
}
