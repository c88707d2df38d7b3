import type { DisplayProps, OptionView } from "./display-props.ts";

/** The number beside an option; read out as “12 products”. Drawn anew when it changes, so that it never counts as moved. */
export function OptionCount({
  option: { count },
  say,
}: { option: Pick<OptionView, "count"> } & Pick<DisplayProps, "say">) {
  if (count === undefined) return null;
  // Only the number is seen; where it stands among the words is the language's affair.
  const number = say.number(count);
  const [before, after] = say("countOf", { n: count }).split(number);
  return (
    <span key={count} class="zt-count">
      {before ? <span class="zt-unseen">{before}</span> : null}
      {number}
      {after ? <span class="zt-unseen">{after}</span> : null}
    </span>
  );
}
