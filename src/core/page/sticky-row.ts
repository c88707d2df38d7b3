/** Share of the screen that must stay free below a row of facets that stays in sight. */
export const minFreeShare = 0.6;

/**
 * The share of a screen, from 0 to 1, that a row above the products leaves free where it stays in sight.
 * @param offset of its head below the top: the shop's bars and the fine-tune, in CSS px
 * @param height of the row, in CSS px
 * @param screen height of the screen, in CSS px
 */
export const freeScreenShare = (offset: number, height: number, screen: number): number =>
  Math.max(0, screen - Math.max(0, offset) - height) / screen;
