import { longList, plainMark } from "./marks.ts";

/**
 * Makes list items without a marker plain boxes: a browser renumbers all that follow each list item that appears, which
 * takes 100 ms of a step with 3,000 rows. The site's own rules are asked again whenever the list has another width,
 * since they may differ there.
 * @returns ends it
 */
export function plainRows(list: Element, items: readonly Element[]): () => void {
  if (items.length <= longList) return () => {};
  const observer = new ResizeObserver(() => {
    list.removeAttribute(plainMark);
    const shown = items.find((item) => !item.hasAttribute("hidden"));
    if (!shown) return;
    const { display, listStyleType, listStyleImage } = getComputedStyle(shown);
    list.toggleAttribute(plainMark, display === "list-item" && listStyleType === "none" && listStyleImage === "none");
  });
  observer.observe(list);
  return () => {
    observer.disconnect();
    list.removeAttribute(plainMark);
  };
}
