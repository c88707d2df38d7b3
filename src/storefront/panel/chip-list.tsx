import type { ComponentChildren } from "preact";
import type { Say } from "../words/say.ts";
import type { Chip } from "./chips.ts";
import type { Perform } from "./panel-state.ts";

interface Props {
  chips: readonly Chip[];
  say: Say;
  perform: Perform;
  children?: ComponentChildren;
}

/** Chosen filters, each a button that takes it back; what else belongs to the list comes after them. */
export function ChipList({ chips, say, perform, children }: Props) {
  return (
    <ul class="zt-chips">
      {chips.map(({ key, text, value, facet, takeBack }) => (
        <li key={key}>
          <button
            type="button"
            class="zt-chip"
            aria-label={say("remove", { facet, text: value })}
            onClick={() => perform(takeBack)}
          >
            {text}
            <span aria-hidden="true">×</span>
          </button>
        </li>
      ))}
      {children}
    </ul>
  );
}
