import { newFacet } from "../src/core/panel/panel.ts";
import { panelFormat } from "../src/core/panel/panel-format.ts";
import type { PanelDocument } from "../src/core/panel/panel-schema.ts";
import { newPiece } from "../src/core/panel/pieces.ts";

/** The demo shop's first panel. */
export const demoPanel: PanelDocument = {
  format: panelFormat,
  name: "Climber finder",
  placement: { wide: "left", slim: "drawer" },
  behaviour: { sticky: { wide: true } },
  rows: [
    newPiece("chosen", "chosen"),
    {
      ...newFacet("f-category", "category", "tree", "tree", { order: "natural" }),
      display: { wide: "tree", slim: "dropdown" },
    },
    newFacet("f-flower-colour", "flower-colour", "swatches", "any"),
    { ...newFacet("f-light", "light", "check-boxes", "any"), display: { wide: "check-boxes", slim: "tiles" } },
    { ...newFacet("f-mature-height", "mature-height", "slider-inputs", "range", { suffix: " cm" }) },
    newFacet("f-pot-size", "pot-size", "tiles", "any", { order: "natural" }),
    newFacet("f-price", "price", "slider-inputs", "range", { scale: "bent" }),
    newFacet("f-pet-safe", "pet-safe", "switch", "any"),
  ],
};

/** A second panel: three questions in a row, for articles and above listings. */
export const demoQuestions: PanelDocument = {
  format: panelFormat,
  name: "Three questions",
  placement: { wide: "article" },
  rows: [
    newFacet("f-light", "light", "dropdown", "any", { counting: "live", share: { wide: "third", slim: "full" } }),
    newFacet("f-flower-colour", "flower-colour", "dropdown", "any", { share: { wide: "third", slim: "full" } }),
    newFacet("f-pet-safe", "pet-safe", "switch", "any", { share: { wide: "third", slim: "full" } }),
  ],
};

/** A third one, for the text of an article: two questions that lead to the plants. */
export const demoAside: PanelDocument = {
  format: panelFormat,
  name: "Beside the text",
  placement: { wide: "article" },
  behaviour: {
    apply: { wide: "button" },
    sendTo: "/categories/plants",
    float: { wide: "right", slim: "none" },
    floatWidth: { wide: 260 },
  },
  rows: [
    { ...newPiece("heading", "heading"), label: "Find yours" },
    newFacet("f-light", "light", "check-boxes", "any"),
    newFacet("f-pet-safe", "pet-safe", "switch", "any"),
  ],
};
