import type { Island } from "./wire.ts";

/** The element with the data of a piece of markup. */
export const dataOf = ':scope > script[type="application/json"]';

/** The data in an element's markup; undefined if missing or damaged. */
export function islandOf(element: Element): Island | undefined {
  const text = element.querySelector(dataOf)?.textContent;
  try {
    return text ? JSON.parse(text) : undefined;
  } catch {
    return undefined;
  }
}
