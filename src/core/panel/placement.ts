/** Where a panel stands on a page: beside or above the products, behind a button in a drawer, or not at all. */
export const placements = ["left", "right", "above", "drawer", "absent"] as const;
export type Placement = (typeof placements)[number];
