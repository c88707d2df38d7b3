/** Minimum free share of the screen below a sticky row of facets. */
export const minFreeShare = 0.6;

/**
 * The share of a screen, from 0 to 1, left free by a sticky row above the products.
 * @param offset of its top: the shop's bars and the fine-tune, in CSS px
 * @param height of the row, in CSS px
 * @param screen height of the screen, in CSS px
 */
export const freeScreenShare = (offset: number, height: number, screen: number): number =>
  Math.max(0, screen - Math.max(0, offset) - height) / screen;
