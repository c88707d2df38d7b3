import { useEffect, useState } from "preact/hooks";

/**
 * The value at the last paint: the first rendering with a new value still returns the old one, and a frame later the
 * new one. For content out of sight that need not delay the response to a click.
 */
export function usePainted<T>(value: T): T {
  const [painted, setPainted] = useState(value);
  // Effects run after the paint.
  useEffect(() => setPainted(value), [value]);
  return painted;
}
