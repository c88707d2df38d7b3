import type { RefObject } from "preact";
import { useEffect, useRef } from "preact/hooks";

/**
 * The rows of a panel that are currently visible. A row counts as visible until the browser reports otherwise.
 * @param panel the rows' container
 * @param rows changes when rows are added or removed
 */
export function useVisibleRows(panel: RefObject<HTMLElement | null>, rows: unknown): (row: string) => boolean {
  const hidden = useRef(new Set<string>());
  // biome-ignore lint/correctness/useExhaustiveDependencies: rows are watched anew when they come or go
  useEffect(() => {
    const watch = new IntersectionObserver((entries) => {
      for (const { target, isIntersecting } of entries) {
        const row = target.getAttribute("data-row") ?? "";
        if (isIntersecting) hidden.current.delete(row);
        else hidden.current.add(row);
      }
    });
    for (const row of panel.current?.querySelectorAll("[data-row]") ?? []) watch.observe(row);
    return () => {
      watch.disconnect();
      hidden.current.clear();
    };
  }, [rows]);
  return (row) => !hidden.current.has(row);
}
