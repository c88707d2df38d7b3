/** The views of an open shop, in the order of the work. */
export const shopViews = (shop: string): { to: string; label: string }[] => [
  { to: `/shops/${shop}/catalogue`, label: "Catalogue" },
  { to: `/shops/${shop}/bench`, label: "Bench" },
  { to: `/shops/${shop}/swatches`, label: "Swatch book" },
  { to: `/shops/${shop}/look`, label: "Look" },
  { to: `/shops/${shop}/pages`, label: "Pages" },
  { to: `/shops/${shop}/editions`, label: "Editions" },
];
