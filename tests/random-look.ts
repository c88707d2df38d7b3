import fc from "fast-check";
import { checkDocument } from "../src/core/document/kind.ts";
import { emptyLook } from "../src/core/look/empty-look.ts";
import { lookKind } from "../src/core/look/kind.ts";
import type { LookDocument } from "../src/core/look/look-schema.ts";
import { type Token, tokens } from "../src/core/look/tokens.ts";
import { following, type TokenValue } from "../src/core/look/value.ts";
import type { Banded } from "../src/core/settings/band.ts";

const all = [...tokens.values()];
const hex = fc
  .tuple(fc.integer({ min: 0, max: 0xffffff }), fc.option(fc.integer({ min: 0, max: 254 }), { nil: undefined }))
  .map(
    ([code, alpha]) =>
      `#${code.toString(16).padStart(6, "0")}${alpha === undefined ? "" : alpha.toString(16).padStart(2, "0")}`,
  );

/** Any value that a token can have, or a basic one of its type that it follows. */
function aValue(token: Token): fc.Arbitrary<TokenValue> {
  const basics = all.filter(({ type, to, name }) => type === token.type && to.length === 0 && name !== token.name);
  const follows = basics.length > 0 && token.to.length > 0 && token.type !== "choice";
  return follows
    ? fc.oneof(
        { weight: 3, arbitrary: ownValue(token) },
        { weight: 1, arbitrary: fc.constantFrom(...basics.map(({ name }) => following(name))) },
      )
    : ownValue(token);
}

function ownValue(token: Token): fc.Arbitrary<TokenValue> {
  const { min = 0, max = 100, step = 1 } = token;
  switch (token.type) {
    case "colour":
      return hex;
    case "choice":
      return fc.constantFrom(...Object.keys(token.choices ?? {}));
    case "font":
      return fc.constantFrom("Georgia, serif", '"Karla Variable", sans-serif', "system-ui");
    case "picture":
      return fc.constantFrom("", "/pictures/shop/abc.svg");
    case "shadow":
      return fc.record({
        x: fc.integer({ min: -20, max: 20 }),
        y: fc.integer({ min: -20, max: 20 }),
        blur: fc.integer({ min: 0, max: 60 }),
        spread: fc.integer({ min: -10, max: 10 }),
        colour: fc.oneof(hex, fc.constant("{shade.shadow}")),
      });
    default:
      return fc
        .integer({ min: Math.ceil(min / step), max: Math.floor(max / step) })
        .map((n) => Number(Math.min(max, Math.max(min, n * step)).toFixed(2)));
  }
}

const bandedValue = (token: Token): fc.Arbitrary<Banded<TokenValue>> =>
  fc
    .tuple(
      aValue(token),
      fc.option(aValue(token), { nil: undefined, freq: 3 }),
      fc.option(aValue(token), { nil: undefined, freq: 3 }),
    )
    .map(([wide, medium, slim]) => ({
      wide,
      ...(medium === undefined ? {} : { medium }),
      ...(slim === undefined ? {} : { slim }),
    }));

/** Any look that sets some tokens, on some bands, and some colours for the dark. */
export const aLook = (): fc.Arbitrary<LookDocument> =>
  fc
    .uniqueArray(fc.constantFrom(...all), { minLength: 1, maxLength: 25, selector: ({ name }) => name })
    .chain((chosen) =>
      fc.tuple(
        fc.constant(chosen),
        fc.tuple(...chosen.map(bandedValue)),
        fc.tuple(
          ...chosen.map((token) =>
            token.type === "colour" ? fc.option(hex, { nil: undefined }) : fc.constant(undefined),
          ),
        ),
      ),
    )
    .map(([chosen, values, dark]) =>
      checkDocument(lookKind, {
        ...emptyLook("Look"),
        values: Object.fromEntries(chosen.map(({ name }, n) => [name, values[n]])),
        dark: Object.fromEntries(chosen.flatMap(({ name }, n) => (dark[n] === undefined ? [] : [[name, dark[n]]]))),
      }),
    );
