import type { DisplayName } from "../../../core/display/displays.ts";
import type { DisplayView } from "./display-props.ts";
import { putView, viewOf } from "./views.ts";

/** Where the view of each display is fetched from. Boxes are radio buttons wherever only one can be chosen. */
const loaders: Readonly<Record<DisplayName, () => Promise<{ View: DisplayView }>>> = {
  "check-boxes": () => import("./check-boxes/view.tsx"),
  "radio-buttons": () => import("./check-boxes/view.tsx"),
  "swatch-boxes": () => import("./swatch-boxes/view.tsx"),
  swatches: () => import("./swatches/view.tsx"),
  "picture-tiles": () => import("./picture-tiles/view.tsx"),
  tiles: () => import("./tiles/view.tsx"),
  tags: () => import("./tags/view.tsx"),
  toggles: () => import("./toggles/view.tsx"),
  "plain-list": () => import("./plain-list/view.tsx"),
  tree: () => import("./tree/view.tsx"),
  dropdown: () => import("./dropdown/view.tsx"),
  "search-field": () => import("./search-field/view.tsx"),
  switch: () => import("./switch/view.tsx"),
  slider: () => import("./slider/view.tsx"),
  "slider-inputs": () => import("./slider-inputs/view.tsx"),
  "number-inputs": () => import("./number-inputs/view.tsx"),
  "price-ranges": () => import("./price-ranges/view.tsx"),
  stars: () => import("./stars/view.tsx"),
  dates: () => import("./dates/view.tsx"),
};

/** Fetches the views of some displays that are not there yet. */
export async function loadViews(names: Iterable<DisplayName>): Promise<void> {
  const missing = [...new Set(names)].filter((name) => !viewOf(name));
  await Promise.all(missing.map(async (name) => putView(name, (await loaders[name]()).View)));
}
