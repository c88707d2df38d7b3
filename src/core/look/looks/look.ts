import { emptyLook } from "../empty-look.ts";
import type { LookDocument } from "../look-schema.ts";
import type { Shadow, TokenValue } from "../value.ts";

/** A shipped look to start from. */
export interface ShippedLook {
  /** The kinds of shop it suits. */
  about: string;
  look: LookDocument;
}

type Given = TokenValue | [wide: TokenValue, slim: TokenValue];

/** A look in short form: values for all bands, or for wide and slim ones. */
export const shipped = (
  name: string,
  about: string,
  values: Readonly<Record<string, Given>>,
  dark: LookDocument["dark"] = {},
  styles: LookDocument["styles"] = [],
): ShippedLook => ({
  about,
  look: {
    ...emptyLook(name),
    values: Object.fromEntries(
      Object.entries(values).map(([token, value]) => [
        token,
        Array.isArray(value) ? { wide: value[0], slim: value[1] } : { wide: value },
      ]),
    ),
    dark,
    styles,
  },
});

/** A soft shadow below something. */
export const below = (y: number, blur: number, colour: string): Shadow => ({ x: 0, y, blur, spread: 0, colour });
