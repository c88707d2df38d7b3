import type { PageState } from "./page-state.ts";

/** Says that the shop does not answer. Always there, so that what it says is read out. */
export const Trouble = ({ state: { trouble, say } }: { state: Pick<PageState, "trouble" | "say"> }) => (
  <p class="zt-trouble" role="alert">
    {trouble ? <span>{say("trouble")}</span> : null}
  </p>
);
