import type { Island } from "./wire.ts";

/** What an element's markup says about itself; undefined where that is missing or damaged. */
export function islandOf(element: Element): Island | undefined {
  const text = element.querySelector(':scope > script[type="application/json"]')?.textContent;
  try {
    return text ? JSON.parse(text) : undefined;
  } catch {
    return undefined;
  }
}
