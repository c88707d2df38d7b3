/**
 * Runs something after the frame that shows the input's direct effect: a box is ticked at once, and the consequences
 * follow. In order; at once in a hidden tab.
 */
export function afterFrame(run: () => void): void {
  if (document.hidden) run();
  else requestAnimationFrame(() => setTimeout(run));
}
