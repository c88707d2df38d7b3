import { type FacetRow, facetDefaults, type PanelDocument, panelFormat } from "../src/core/panel/document.ts";

const facet = (row: Partial<FacetRow> & Pick<FacetRow, "field" | "display">): FacetRow => ({ ...facetDefaults, id: `f-${row.field}`, ...row });

/** The demo shop's first panel. */
export const demoPanel: PanelDocument = {
  format: panelFormat,
  name: "Climber finder",
  limits: { medium: 750, wide: 1000 },
  placement: { wide: "left", slim: "drawer" },
  rows: [
    { kind: "piece", id: "chosen", piece: "chosen", label: "Chosen filters" },
    facet({ field: "category", mode: "tree", display: { wide: "tree", slim: "dropdown" }, order: "natural" }),
    facet({ field: "flower-colour", display: { wide: "swatches" } }),
    facet({ field: "light", display: { wide: "check-boxes", slim: "tiles" } }),
    facet({ field: "mature-height", label: "Mature height, cm", mode: "range", display: { wide: "slider" } }),
    facet({ field: "pot-size", display: { wide: "tiles" }, order: "natural" }),
    facet({ field: "price", mode: "range", display: { wide: "slider" } }),
    facet({ field: "pet-safe", display: { wide: "check-boxes" }, start: "folded" }),
  ],
};
