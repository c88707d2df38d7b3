import type { Shared } from "./panel-state.ts";

/** The number of products. Replaced with every number, since a growing text would count as a shift. */
export function Count({ state: { answer, say } }: { state: Pick<Shared, "answer" | "say"> }) {
  const { total, outOf } = answer;
  return (
    <p class="zt-total" role="status">
      <span key={`${total}/${outOf}`}>
        {/* Each number keeps to its own words, also where those run from right to left. */}
        <bdi>{say("found", { n: total })}</bdi>
        {total < outOf ? " " : null}
        {total < outOf ? <bdi>{say("outOf", { n: outOf })}</bdi> : null}
      </span>
    </p>
  );
}
