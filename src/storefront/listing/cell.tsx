import type { Card } from "../../core/engine/cards/card-schema.ts";
import { orderOf } from "../../core/page/browse-state/browse-state.ts";
import { fieldOfCell } from "../../core/page/layout.ts";
import { productAddress } from "../../core/page/page-list.ts";
import type { Cell } from "../../core/page/pages-schema.ts";
import { money } from "../panel/format.ts";
import { valueWriter } from "../panel/value-text.ts";
import { fieldTitle } from "../words/field-title.ts";
import { useBasket } from "./basket.ts";
import type { ListingState } from "./listing-state.ts";

interface Props {
  cell: Cell;
  card: Card;
  state: ListingState;
  /** The picture is loaded when it comes near the viewport. */
  lazy: boolean;
  /** Selects another variant, if the listing can show it. */
  take?(variant: number): void;
}

/** One part of a card or of a row. */
export function CellView(props: Props) {
  const { cell, card, state, lazy } = props;
  const { say } = state;
  switch (cell.part) {
    case "picture":
      return <Picture card={card} lazy={lazy} />;
    case "title":
      return (
        <h3 class="zs-title">
          <a href={state.base + productAddress(card)}>{card.title}</a>
        </h3>
      );
    case "price":
      return <Price card={card} state={state} falling={isFalling(state)} />;
    case "stock":
      return (
        <p class="zs-cell">
          {card.soldOut ? <span class="zs-sold">{say("soldOut")}</span> : card.inStock ? say("inStock") : null}
        </p>
      );
    case "variant":
      return <VariantChoice {...props} />;
    case "basket":
      return <BasketButton card={card} say={say} />;
    case "text":
      return <p class="zs-text">{valuesOf(props)[0]}</p>;
    case "rating":
      return <Rating {...props} />;
    case "field": {
      const field = fieldOfCell(cell, state.fields.values());
      const values = valuesOf(props);
      return field ? (
        <p class="zs-cell" title={values.join(", ")}>
          <span class="zs-label">{fieldTitle(field, state.say)}</span> {values.join(", ") || "–"}
        </p>
      ) : null;
    }
  }
}

/** The product's values of a part's field, for display. */
function valuesOf({ cell, card, state }: Props): string[] {
  const field = fieldOfCell(cell, state.fields.values());
  const values = (field && card.values[field.key]) ?? [];
  return field ? values.map(valueWriter(field, state)) : [...values];
}

function Rating(props: Props) {
  const [rating] = valuesOf(props);
  return <p class="zs-cell">{rating === undefined ? "" : props.state.say("ratingOf", { n: rating })}</p>;
}

function Picture({ card: { image, title, facts }, lazy }: { card: Card; lazy: boolean }) {
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
      ) : facts && facts.length > 0 ? (
        <ul class="zs-facts">
          {facts.map((fact) => (
            <li key={fact}>{fact}</li>
          ))}
        </ul>
      ) : (
        <span aria-hidden="true">{[...title][0]}</span>
      )}
    </div>
  );
}

/** Whether the products are sorted by descending price. */
function isFalling({ sort, order, layout, fields }: ListingState): boolean {
  const [first] = orderOf({ sort }, order, layout.sorts).split(",");
  return first?.startsWith("-") === true && fields.get(first.slice(1))?.role === "price";
}

/** Present and former price, for display. */
export function Price({
  card: { price, was, from, most, soldOut },
  state: { say, currency, language },
  falling = false,
}: {
  card: Pick<Card, "price" | "was" | "from" | "most" | "soldOut">;
  state: Pick<ListingState, "say" | "currency" | "language">;
  /** Most expensive first, so the highest price is shown. */
  falling?: boolean;
}) {
  if (falling && most !== undefined)
    return <p class="zs-price">{say("upTo", { value: money(most, currency, language) })}</p>;
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

function VariantChoice({ card, state: { say }, take }: Props) {
  const { variants, variant, title } = card;
  if (!variants) return null;
  const shown = variant ?? variants.find(({ matches }) => matches)?.at ?? 0;
  return (
    <select
      class="zs-variant"
      aria-label={say("variantOf", { title })}
      value={String(shown)}
      disabled={!take}
      onChange={(event) => take?.(Number(event.currentTarget.value))}
    >
      {variants.map(({ at, name, soldOut }) => (
        <option key={at} value={String(at)} selected={at === shown}>
          {soldOut ? `${name} – ${say("soldOut")}` : name}
        </option>
      ))}
    </select>
  );
}

function BasketButton({ card: { title, soldOut }, say }: { card: Card; say: ListingState["say"] }) {
  const { add } = useBasket();
  return (
    <button type="button" class="zs-buy" disabled={soldOut} aria-label={say("buyTitle", { title })} onClick={add}>
      {say("buy")}
    </button>
  );
}
