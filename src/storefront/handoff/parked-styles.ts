/** The attribute with the styles of an element in drawn markup: a strict policy forbids style attributes. */
export const parked = "data-s";

/** Turns the attribute into real styles, which scripts may set, before hydration. */
export function unparkStyles(root: Element): void {
  for (const element of root.querySelectorAll<HTMLElement>(`[${parked}]`)) {
    element.style.cssText = element.getAttribute(parked) ?? "";
    element.removeAttribute(parked);
  }
}
