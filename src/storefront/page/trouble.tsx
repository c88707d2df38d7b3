import type { PageState } from "./page-state.ts";

/** The message that the shop does not respond. Always present, so that screen readers announce changes. */
export const Trouble = ({ state: { trouble, say } }: { state: Pick<PageState, "trouble" | "say"> }) => (
  <p class="zt-trouble" role="alert">
    {trouble ? <span>{say("trouble")}</span> : null}
  </p>
);
