/** What the availability of a variant can be; one of which nothing is known has none. */
export const inStock = "in stock";
export const outOfStock = "out of stock";
export type Availability = typeof inStock | typeof outOfStock;
