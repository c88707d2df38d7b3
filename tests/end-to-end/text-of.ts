import type { Locator } from "@playwright/test";

/** The text of an element, which must have some: a comparison with nothing would hold for anything. */
export async function textOf(element: Locator): Promise<string> {
  const text = await element.textContent();
  if (!text) throw new Error(`There is no text in ${element}.`);
  return text;
}
