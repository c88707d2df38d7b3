import { useEffect, useState } from "preact/hooks";

/**
 * The value as it was when the page was last painted: on the first drawing of a new value still the old
 * one, a frame later the new one. For what is out of sight and need not hold up the answer to a click.
 */
export function usePainted<T>(value: T): T {
  const [painted, setPainted] = useState(value);
  // Effects run after the paint.
  useEffect(() => setPainted(value), [value]);
  return painted;
}
