/** The attribute of a page whose address carries choices, set before its first paint, and its values. */
const { dataset } = document.documentElement;
const [before, after] = ["choices", "done"];

const isAwaiting = (): boolean => dataset.trellisAwaits === before;

/** Shows the lists that were hidden until the choices in the address were applied. */
export function endAwaiting(): void {
  if (isAwaiting()) dataset.trellisAwaits = after;
}

/**
 * Keeps the height that an element was drawn with while the choices in the address are applied, so that nothing below
 * moves when options disappear; until the width of the window changes.
 */
export function keepHeight(element: HTMLElement): void {
  if (!isAwaiting()) return;
  const width = innerWidth;
  element.style.minHeight = `${element.offsetHeight}px`;
  const follow = () => {
    if (innerWidth === width) return;
    element.style.removeProperty("min-height");
    removeEventListener("resize", follow);
  };
  addEventListener("resize", follow);
}
