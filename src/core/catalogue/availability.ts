/** The two availabilities of a variant; a variant whose stock is unknown has neither. */
export const inStock = "in stock";
export const outOfStock = "out of stock";
export type Availability = typeof inStock | typeof outOfStock;
