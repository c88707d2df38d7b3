import type { ListingForm } from "../../core/page/listing-choices.ts";
import { usePainted } from "../panel/use-painted.ts";
import { CellView } from "./cell.tsx";
import type { ListingState } from "./listing-state.ts";
import { Row } from "./row.tsx";

/** Approximate number of cards that fit a window. */
const inSight = 8;

interface Props {
  state: ListingState;
  form: ListingForm;
}

/**
 * The products of the page, as cards or rows. Places are keyed by number and their content by product, so that a new
 * result moves nothing.
 */
export function Cards({ state, form }: Props) {
  const { products } = state.answer;
  const before = usePainted(products);
  // Cards below the window follow a frame later, so that a click responds sooner.
  const drawn = [...products.slice(0, inSight), ...before.slice(inSight)];
  if (form === "table") return <Table state={state} />;
  const { card: cells } = state.layout;
  const [first, ...rest] = cells;
  // In a list, a picture that comes first is placed beside the text.
  const apart = first?.part === "picture" ? first : undefined;
  return (
    <ul class={form === "grid" ? "zs-grid" : "zs-list"}>
      {drawn.map((card, place) => (
        <li key={place} class="zs-card">
          {apart ? <CellView cell={apart} card={card} state={state} lazy={place >= inSight} /> : null}
          <div key={card.id} class="zs-words">
            {(apart ? rest : cells).map((cell, at) => (
              <CellView key={at} cell={cell} card={card} state={state} lazy={place >= inSight} />
            ))}
          </div>
        </li>
      ))}
    </ul>
  );
}

/** A table with a row per product; scrolls horizontally in its own box if too wide. */
function Table({ state }: { state: ListingState }) {
  const { layout, say, answer, language } = state;
  return (
    // biome-ignore lint/a11y/noNoninteractiveTabindex: a box that scrolls must be reached by the keyboard
    <div class="zs-scroll" tabIndex={0} role="region" aria-label={say("products")}>
      <table class="zs-table">
        <thead>
          <tr>
            {layout.table.map(({ title, titles }, at) => (
              <th key={at} scope="col">
                {titles?.[language] ?? title}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {answer.products.map((card, place) => (
            <Row key={`${place} ${card.id}`} card={card} state={state} />
          ))}
        </tbody>
      </table>
    </div>
  );
}
