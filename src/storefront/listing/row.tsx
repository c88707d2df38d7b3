import { useState } from "preact/hooks";
import type { Card } from "../../core/engine/cards/card-schema.ts";
import { CellView } from "./cell.tsx";
import type { ListingState } from "./listing-state.ts";

/** A product as a row of the table, with its matching variant selected until the shopper selects another. */
export function Row({ card, state }: { card: Card; state: ListingState }) {
  const matching =
    card.variants?.find(({ at }) => at === card.variant) ?? card.variants?.find(({ matches }) => matches);
  const [taken, take] = useState({ by: matching?.at, at: matching?.at });
  // A new choice in a panel replaces an earlier one made here.
  const at = taken.by === matching?.at ? taken.at : matching?.at;
  const variant = card.variants?.find((one) => one.at === at);
  const shown: Card = variant
    ? {
        ...card,
        price: variant.price,
        was: variant.was,
        soldOut: variant.soldOut,
        inStock: variant.inStock,
        from: false,
        most: undefined,
        variant: variant.at,
      }
    : card;
  return (
    <tr>
      {state.layout.table.map(({ cells }, place) => (
        <td key={place}>
          {cells.map((cell, n) => (
            <CellView
              key={n}
              cell={cell}
              card={shown}
              state={state}
              lazy={false}
              take={(next) => take({ by: matching?.at, at: next })}
            />
          ))}
        </td>
      ))}
    </tr>
  );
}
