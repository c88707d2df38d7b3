import type { Band } from "./band.ts";

/** The size of a device's screen in CSS px. */
export interface Screen {
  width: number;
  height: number;
}

/** Common screen sizes of a band: a small laptop, a tablet upright, a phone. Common practice, no source. */
export const firstScreens: Readonly<Record<Band, Screen>> = {
  wide: { width: 1280, height: 800 },
  medium: { width: 834, height: 1112 },
  slim: { width: 390, height: 844 },
};
