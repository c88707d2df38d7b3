/** @jsxImportSource preact */
import type { OptionView } from "./display.ts";

/** What stands for an option's value: its colours, or a hatched mark where none is known. Never a blank dot. */
export function Swatch({ colours, class: name }: Pick<OptionView, "colours"> & { class: string }) {
  return <span class={name} data-unknown={colours ? undefined : ""} style={colours ? { background: sectors(colours) } : undefined} />;
}

/** One colour as it is, several as equal sectors. */
export function sectors(colours: readonly string[]): string {
  if (colours.length === 1) return colours[0];
  const share = 100 / colours.length;
  return `conic-gradient(from 45deg, ${colours.map((colour, i) => `${colour} ${i * share}% ${(i + 1) * share}%`).join(", ")})`;
}
