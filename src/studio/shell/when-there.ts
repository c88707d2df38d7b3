/** How long a view may take to appear, in ms. */
const longest = 5000;
/** How long a closed card takes to give focus back to its button, in ms. */
export const settled = 60;

/** Calls back with the first element that matches a selector, as soon as there is one; not at all if none appears. */
export function whenThere(selector: string, act: (found: HTMLElement) => void): void {
  const since = performance.now();
  const look = () => {
    const found = document.querySelector<HTMLElement>(selector);
    if (found) act(found);
    else if (performance.now() - since < longest) requestAnimationFrame(look);
  };
  look();
}

/**
 * Focuses an element that was just made, once the card or dialog that made it has closed and given focus back; not if
 * somebody has moved on by then.
 */
export const focusMade = (selector: string): void => {
  setTimeout(() => {
    const rest = document.activeElement;
    whenThere(selector, (made) => {
      // A card that was opened meanwhile would close without the focus.
      const card = rest?.closest("[role=dialog]");
      if (card && !card.contains(made)) return;
      if (document.activeElement === rest || document.activeElement === document.body) made.focus();
    });
  }, settled);
};

/** Presses the button for an act, named by its `data-act`, in a view that is about to open. */
export const pressAct = (act: string): void =>
  whenThere(`button[data-act="${CSS.escape(act)}"]:not([disabled])`, (button) => {
    button.focus();
    button.click();
  });
