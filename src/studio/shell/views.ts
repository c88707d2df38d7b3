/** A view to switch to; one with others below it is active at its own address only. */
export interface View {
  to: string;
  label: string;
  exact?: true;
}

/** The views of an open shop, in the order of the work. */
export const shopViews = (shop: string): View[] => [
  { to: `/shops/${shop}`, label: "Overview", exact: true },
  { to: `/shops/${shop}/catalogue`, label: "Catalogue" },
  { to: `/shops/${shop}/panels`, label: "Panels" },
  { to: `/shops/${shop}/swatches`, label: "Swatch book" },
  { to: `/shops/${shop}/look`, label: "Look" },
  { to: `/shops/${shop}/pages`, label: "Pages" },
  { to: `/shops/${shop}/rehearsal`, label: "Rehearsal" },
  { to: `/shops/${shop}/editions`, label: "Editions" },
];
