/**
 * Does something once the frame is on the screen that shows what the finger has touched: a box is ticked at once, and
 * what it leads to follows. In the order in which it was asked for; in a tab that nobody sees, at once.
 */
export function afterFrame(run: () => void): void {
  if (document.hidden) run();
  else requestAnimationFrame(() => setTimeout(run));
}
