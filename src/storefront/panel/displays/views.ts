import type { DisplayName } from "../../../core/displays/displays.ts";
import type { DisplayView } from "./display-props.ts";

const there = new Map<DisplayName, DisplayView>();

/** Registers a view, so that panels can be rendered with it. */
export const putView = (name: DisplayName, view: DisplayView): void => {
  there.set(name, view);
};

/** The view of a display; undefined if it isn't loaded. */
export const viewOf = (name: DisplayName): DisplayView | undefined => there.get(name);
