/** The name of an element's group; empty for the default one. */
export const groupOf = (element: Element): string => element.getAttribute("group") ?? "";
