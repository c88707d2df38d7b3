/** The views of a shop in the studio, by the ends of their addresses. */
export const studioViews = [
  "",
  "/catalogue",
  "/catalogue/products",
  "/catalogue/mends",
  "/panels",
  "/swatches",
  "/look",
  "/pages",
  "/pages/collections",
  "/rehearsal",
  "/rehearsal/visits",
  "/editions",
];
