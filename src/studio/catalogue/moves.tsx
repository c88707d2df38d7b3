import type { ValueMove } from "../../core/catalogue/compare.ts";

/** Old and new values, with the number of products if known. */
export function Moves({ moves, more }: { moves: readonly (ValueMove & { products?: number })[]; more: number }) {
  return (
    <>
      {moves.map(({ was, is, products }, at) => (
        <span key={`${was} ${is}`}>
          {at > 0 ? "; " : ""}
          <CellText text={was} /> <span aria-hidden>→</span>
          <span className="sr-only">became</span> <CellText text={is} />
          {products !== undefined && products > 1 ? (
            <span className="text-quiet"> ({products.toLocaleString("en")})</span>
          ) : null}
        </span>
      ))}
      {more > 0 ? <span className="text-quiet">; and {more.toLocaleString("en")} more</span> : null}
    </>
  );
}

const longest = 60;

/** The text of a cell, or that it is empty. */
export function CellText({ text }: { text: string }) {
  if (text === "") return <i className="text-quiet">nothing</i>;
  return <span title={text}>{text.length > longest ? `${text.slice(0, longest - 1)}…` : text}</span>;
}
