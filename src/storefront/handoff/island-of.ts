import type { Island } from "./wire.ts";

/** The data in an element's markup; undefined if missing or damaged. */
export function islandOf(element: Element): Island | undefined {
  const text = element.querySelector(':scope > script[type="application/json"]')?.textContent;
  try {
    return text ? JSON.parse(text) : undefined;
  } catch {
    return undefined;
  }
}
