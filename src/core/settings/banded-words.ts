import type { Band } from "./band.ts";
/** A value by band, in words: the wide one, and those that differ. */
export function banded<T>(value: { readonly [B in Band]?: T | undefined }, say: (one: T) => string): string {
  const { wide, ...narrower } = value;
  const others = Object.entries(narrower).flatMap(([band, one]) =>
    one === undefined ? [] : [`${say(one)} on ${band}`],
  );
  return [...(wide === undefined ? [] : [say(wide)]), ...others].join(", ");
}
