import { lookFormat } from "./look-format.ts";
import type { LookDocument } from "./look-schema.ts";

/** A look that sets nothing. */
export const emptyLook = (name: string): LookDocument => ({
  format: lookFormat,
  name,
  values: {},
  dark: {},
  styles: [],
  css: "",
});
