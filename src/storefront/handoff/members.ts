import type { TrellisPanel } from "./panel-element.tsx";

/** The panels and listings of the page, in order. */
export const membersOfPage = (): TrellisPanel[] => [
  ...document.querySelectorAll<TrellisPanel>("trellis-panel, trellis-listing"),
];
