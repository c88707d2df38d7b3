import type { LookDocument } from "./look-schema.ts";

/** Version of the format of looks that this code writes. */
export const lookFormat = 2;

/** A look that sets nothing. */
export const emptyLook = (name: string): LookDocument => ({
  format: lookFormat,
  name,
  values: {},
  dark: {},
  styles: [],
  css: "",
});
