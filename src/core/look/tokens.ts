import type { Banded } from "../settings/band.ts";
import type { LookPart, Property } from "./part.ts";
import { basics } from "./parts/basics.ts";
import { boxParts } from "./parts/boxes.ts";
import { controlParts } from "./parts/controls.ts";
import { countParts } from "./parts/counts.ts";
import { listingParts } from "./parts/listing.ts";
import { panelParts } from "./parts/panel.ts";
import { swatchParts } from "./parts/swatches.ts";
import { tileParts } from "./parts/tiles.ts";
import { following, stateBefore, states, type TokenState, type TokenValue } from "./value.ts";

/**
 * Every part that can be styled. A new one is an entry in a file of `parts`: it is then drawn, audited and listed
 * automatically.
 */
export const parts: Readonly<Record<string, LookPart>> = {
  ...basics,
  ...panelParts,
  ...boxParts,
  ...tileParts,
  ...swatchParts,
  ...countParts,
  ...controlParts,
  ...listingParts,
};

/** One token: a property of a part in a state. */
export interface Token extends Omit<Property, "at" | "stated"> {
  /** Like `tile.ground.chosen`; without a state at its end it is the one at rest. */
  name: string;
  part: string;
  property: string;
  state: TokenState;
  /** Its default value. */
  fallback: Banded<TokenValue>;
}

const isBanded = (value: TokenValue | Banded<TokenValue>): value is Banded<TokenValue> =>
  typeof value === "object" && "wide" in value;
const asBanded = (value: TokenValue | Banded<TokenValue>): Banded<TokenValue> =>
  isBanded(value) ? value : { wide: value };

/** The name of a property of a part in a state. */
export const tokenName = (part: string, property: string, state: TokenState = "rest"): string =>
  [part, property, state === "rest" ? "" : state].filter(Boolean).join(".");

/** The states that a property of a part can differ by. */
export const statesOf = ({ states: own }: LookPart, { stated }: Property): TokenState[] =>
  stated && own ? states.filter((state) => own[state] !== undefined) : ["rest"];

function* allTokens(): Generator<Token> {
  for (const [part, definition] of Object.entries(parts))
    for (const [property, { at, stated: _stated, ...one }] of Object.entries(definition.properties))
      for (const state of statesOf(definition, definition.properties[property] as Property)) {
        const value = at[state];
        const fallback =
          value === undefined && state !== "rest"
            ? following(tokenName(part, property, stateBefore[state]))
            : (value ?? at.rest);
        yield { ...one, name: tokenName(part, property, state), part, property, state, fallback: asBanded(fallback) };
      }
}

/** All tokens by name, in the order of their parts. */
export const tokens: ReadonlyMap<string, Token> = new Map([...allTokens()].map((token) => [token.name, token]));

/** A label within a sentence: in lower case, except for sizes like “XL”. */
export const lowercaseLabel = (label: string): string => (/^[\dA-Z]+$/.test(label) ? label : label.toLowerCase());
