/** @jsxImportSource preact */
import { usualSorts } from "../core/match/order.ts";
import { emptySelection } from "../core/match/selection.ts";
import { toAddress } from "./address.ts";
import { ChipList } from "./chip-list.tsx";
import { chipsOf } from "./chips.ts";
import { money } from "./format.ts";
import type { Actions } from "./page-view.tsx";
import { type PageState, pageSize } from "./store.ts";
import { usePainted } from "./use-painted.ts";

/** Cards that a window holds, more or less. */
const inSight = 8;

export function SortBox({ state, act }: { state: PageState; act: Actions }) {
  return (
    <label class="zs-sort">
      <span class="zt-unseen">Sort by</span>
      <select value={state.sort} onChange={(event) => act.sort(event.currentTarget.value)}>
        {usualSorts([...state.fields.values()]).map(({ sort, label }) => (
          <option key={sort} value={sort}>
            {label}
          </option>
        ))}
      </select>
    </label>
  );
}

/** How many products there are. Drawn anew with every number, since a number that grows would push its neighbours. */
export function Count({ state: { answer } }: { state: PageState }) {
  return (
    <p class="zs-total" role="status">
      <span key={`${answer.total}/${answer.outOf}`}>
        <b>{answer.total}</b> {answer.total === 1 ? "product" : "products"}
        {answer.total < answer.outOf ? ` of ${answer.outOf}` : ""}
      </span>
    </p>
  );
}

/** The products of the page. Cells are keyed by place and what is in them by product: a new result moves nothing. */
export function Grid({ state, act }: { state: PageState; act: Actions }) {
  const { total, products } = state.answer;
  const before = usePainted(products);
  if (total === 0) return <NothingFound state={state} act={act} />;
  // Cards below the window follow a frame later, so that a click is answered sooner.
  const drawn = [...products.slice(0, inSight), ...before.slice(inSight)];
  return (
    <ul class="zs-grid">
      {drawn.map((card, place) => {
        return (
          <li key={place} class="zs-card">
            <div class="zs-picture">
              {card.image ? (
                <img
                  key={card.image}
                  src={card.image}
                  alt=""
                  width="400"
                  height="400"
                  loading={place < inSight ? undefined : "lazy"}
                  decoding="async"
                />
              ) : (
                <span aria-hidden="true">{card.title[0]}</span>
              )}
            </div>
            <div key={card.id} class="zs-words">
              <h3>{card.title}</h3>
              <p class="zs-price">
                {card.soldOut ? <span class="zs-sold">Sold out</span> : null}
                {card.price === undefined ? null : (
                  <>
                    {card.from ? <small>from </small> : null}
                    <span class={card.was === undefined ? undefined : "zs-now"}>{money(card.price, state.shop.currency)}</span>
                    {card.was === undefined ? null : (
                      <s>
                        <span class="zt-unseen">was </span>
                        {money(card.was, state.shop.currency)}
                      </s>
                    )}
                  </>
                )}
              </p>
            </div>
          </li>
        );
      })}
    </ul>
  );
}

function NothingFound({ state, act }: { state: PageState; act: Actions }) {
  return (
    <div class="zs-nothing">
      <h3>Nothing fits all of this</h3>
      <p>Take one of your choices back:</p>
      <ChipList chips={chipsOf(state)} act={act}>
        <li>
          <button type="button" class="zt-clear" onClick={() => act.select(emptySelection)}>
            Clear all
          </button>
        </li>
      </ChipList>
    </div>
  );
}

/** Links to the pages of the result: the first, the last and those around the present one. */
export function Pages({ state, act }: { state: PageState; act: Actions }) {
  const last = Math.ceil(state.answer.total / pageSize);
  if (last < 2) return null;
  const numbers = Array.from({ length: last }, (_, i) => i + 1).filter((n) => n === 1 || n === last || Math.abs(n - state.page) < 2);
  const link = (page: number) => toAddress({ ...state, page }, (key) => state.fields.get(key)) || "?";
  return (
    <nav class="zs-pages" aria-label="Pages">
      {numbers.map((page, i) => (
        <>
          {i > 0 && page - numbers[i - 1] > 1 ? <span aria-hidden="true">…</span> : null}
          <a
            key={page}
            href={link(page)}
            aria-label={`Page ${page}`}
            aria-current={page === state.page ? "page" : undefined}
            onClick={(event) => {
              event.preventDefault();
              act.turn(page);
            }}
          >
            {page}
          </a>
        </>
      ))}
    </nav>
  );
}
