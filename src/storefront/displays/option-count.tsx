/** @jsxImportSource preact */
import type { OptionView } from "./display.ts";

/** The number beside an option; read out as “12 products”. Drawn anew when it changes, so that it never counts as moved. */
export function OptionCount({ option: { count } }: { option: Pick<OptionView, "count"> }) {
  if (count === undefined) return null;
  return (
    <span key={count} class="zt-count">
      {count}
      <span class="zt-unseen">{count === 1 ? " product" : " products"}</span>
    </span>
  );
}
