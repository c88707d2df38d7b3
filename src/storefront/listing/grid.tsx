import type { Card } from "../../core/listing/card-schema.ts";
import { money } from "../panel/format.ts";
import { usePainted } from "../panel/use-painted.ts";
import type { ListingState } from "./listing-state.ts";

/** Cards that a window holds, more or less. */
const inSight = 8;

/** The products of the page. Cells are keyed by place and what is in them by product: a new result moves nothing. */
export function Grid({ state }: { state: ListingState }) {
  const { products } = state.answer;
  const before = usePainted(products);
  // Cards below the window follow a frame later, so that a click is answered sooner.
  const drawn = [...products.slice(0, inSight), ...before.slice(inSight)];
  return (
    <ul class="zs-grid">
      {drawn.map((card, place) => (
        <li key={place} class="zs-card">
          <CardPicture card={card} lazy={place >= inSight} />
          <div key={card.id} class="zs-words">
            <h3>{card.title}</h3>
            <Price card={card} state={state} />
          </div>
        </li>
      ))}
    </ul>
  );
}

function CardPicture({ card: { image, title }, lazy }: { card: Card; lazy: boolean }) {
  return (
    <div class="zs-picture">
      {image ? (
        <img
          key={image}
          src={image}
          alt=""
          width="400"
          height="400"
          loading={lazy ? "lazy" : undefined}
          decoding="async"
        />
      ) : (
        <span aria-hidden="true">{[...title][0]}</span>
      )}
    </div>
  );
}

function Price({ card: { price, was, from, soldOut }, state }: { card: Card; state: ListingState }) {
  const { say, currency, language } = state;
  return (
    <p class="zs-price">
      {soldOut ? <span class="zs-sold">{say("soldOut")}</span> : null}
      {price === undefined ? null : (
        <>
          {from ? <small>{say("priceFrom")} </small> : null}
          <span class={was === undefined ? undefined : "zs-now"}>{money(price, currency, language)}</span>
          {was === undefined ? null : (
            <s>
              <span class="zt-unseen">{say("priceWas")} </span>
              {money(was, currency, language)}
            </s>
          )}
        </>
      )}
    </p>
  );
}
