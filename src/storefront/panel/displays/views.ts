import type { DisplayName } from "../../../core/displays/displays.ts";
import type { DisplayView } from "./display-props.ts";

const there = new Map<DisplayName, DisplayView>();

/** Makes a view known, so that panels can be drawn with it. */
export const putView = (name: DisplayName, view: DisplayView): void => {
  there.set(name, view);
};

/** The view of a display; undefined while it has not been loaded. */
export const viewOf = (name: DisplayName): DisplayView | undefined => there.get(name);
