/** The attributes by which a site marks its own list and the products in it. */
export const listMark = "data-trellis-list";
export const productMark = "data-trellis-product";
/** Number of products beyond which a list is long: a browser takes a third of a second to lay out 3,000. */
export const longList = 300;
/** Set on a list whose items are plain boxes, see `plain-rows.ts`. */
export const plainMark = "data-trellis-plain";

/**
 * Kinds of elements that a site can mark for a group, by the suffix of the attribute `data-trellis-…`, whose value is
 * the group's name.
 */
export const places = ["count", "chosen", "sort", "more", "pages", "nothing", "list"] as const;
export type SitePlace = (typeof places)[number];

/** The elements of one kind that a page has marked for a group. */
export const marksIn = (group: string, place: SitePlace): HTMLElement[] =>
  [...document.querySelectorAll<HTMLElement>(`[data-trellis-${place}]`)].filter(
    (element) => element.getAttribute(`data-trellis-${place}`) === group,
  );

/** The first of them. */
export const markIn = (group: string, place: SitePlace): HTMLElement | undefined => marksIn(group, place)[0];
