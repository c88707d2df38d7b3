/** The attribute in which drawn markup keeps what a style attribute would say: a strict policy forbids those. */
export const parked = "data-s";

/** Gives elements of drawn markup their styles, as scripts may, once what draws them anew takes over. */
export function unparkStyles(root: Element): void {
  for (const element of root.querySelectorAll<HTMLElement>(`[${parked}]`)) {
    element.style.cssText = element.getAttribute(parked) ?? "";
    element.removeAttribute(parked);
  }
}
