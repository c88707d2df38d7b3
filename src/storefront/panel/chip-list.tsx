import type { ComponentChildren } from "preact";
import { useRef } from "preact/hooks";
import type { Say } from "../words/say.ts";
import type { Chip } from "./chips.ts";
import type { Perform } from "./panel-state.ts";

interface Props {
  chips: readonly Chip[];
  say: Say;
  perform: Perform;
  children?: ComponentChildren;
}

/**
 * Chosen filters, each a button that removes it, followed by other content of the list. A new one moves none of them.
 */
export function ChipList({ chips: given, say, perform, children }: Props) {
  // An address lists choices by facet; the shopper who makes them sees them in order of choice.
  const order = useRef<readonly string[]>([]);
  const keys = given.map(({ key }) => key);
  const kept = order.current.filter((key) => keys.includes(key));
  order.current = [...kept, ...keys.filter((key) => !kept.includes(key))];
  const chips = order.current.flatMap((key) => given.find((one) => one.key === key) ?? []);
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
