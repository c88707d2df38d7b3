/** @jsxImportSource preact */
import type { ComponentChildren } from "preact";
import type { Chip } from "./chips.ts";
import type { Actions } from "./page-view.tsx";

/** Chosen filters, each a button that takes it back; what else belongs to the list comes after them. */
export function ChipList({ chips, act, children }: { chips: readonly Chip[]; act: Actions; children?: ComponentChildren }) {
  return (
    <ul class="zt-chips">
      {chips.map(({ key, text, facet, without }) => (
        <li key={key}>
          <button type="button" class="zt-chip" aria-label={`Remove ${facet}: ${text}`} onClick={() => act.select(without)}>
            {text}
            <span aria-hidden="true">×</span>
          </button>
        </li>
      ))}
      {children}
    </ul>
  );
}
