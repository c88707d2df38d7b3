/**
 * The heights that a handoff’s style sheet of unchanging name reserves for a panel, in the order wide, medium, slim;
 * undefined where it reserves none.
 */
export const reservedHeights = (sheet: string, panel: string): (number | undefined)[] =>
  sheet
    .split("@media ")
    .slice(1)
    .map((rules) => {
      const found = new RegExp(`name="${panel}"\\]:empty \\{ min-height: (\\d+)px`).exec(rules)?.[1];
      return found === undefined ? undefined : Number(found);
    });
