import type { RefObject } from "preact";
import { useEffect, useRef } from "preact/hooks";

/**
 * Which rows of a panel can be seen at the moment. A row counts as seen until the browser has said otherwise.
 * @param panel the element that the rows stand in
 * @param rows changes when rows come or go
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
