import { differing, listDifferences, quoted, same } from "../document/differences.ts";
import { banded } from "../settings/banded-words.ts";
import { spokenToken } from "./edit.ts";
import type { LookDocument } from "./look-schema.ts";
import { written } from "./sheet.ts";
import { tokens } from "./tokens.ts";
import { referenceIn, type TokenValue } from "./value.ts";

const nameOf = (name: string): string => {
  const token = tokens.get(name);
  return token ? spokenToken(token) : name;
};

function valueWords(name: string, value: TokenValue): string {
  const followed = referenceIn(value);
  const token = tokens.get(name);
  if (followed !== undefined) return `as ${nameOf(followed).toLowerCase()}`;
  return token && !token.choices ? (written(token, value)[""] ?? String(value)) : String(value);
}

type Values = LookDocument["values"];

function* valueDifferences(before: Values, after: Values): Generator<string> {
  for (const name of differing(before, after)) {
    const setting = after[name];
    yield setting === undefined
      ? `${nameOf(name)} is back to its default`
      : `${nameOf(name)} is ${banded(setting, (value) => valueWords(name, value))}`;
  }
}

/** Lists the changes of a look. */
export function* lookDifferences(before: LookDocument, after: LookDocument): Generator<string> {
  if (before.name !== after.name) yield `was renamed from ${quoted(before.name)} to ${quoted(after.name)}`;
  yield* valueDifferences(before.values, after.values);
  for (const name of differing(before.dark, after.dark)) {
    const value = after.dark[name];
    yield value === undefined
      ? `${nameOf(name)} is the same in dark mode`
      : `${nameOf(name)} is ${valueWords(name, value)} in dark mode`;
  }
  yield* listDifferences(
    before.styles,
    after.styles,
    ({ id }) => id,
    ({ name }) => `Option style ${quoted(name)}`,
    function* (old, now) {
      if (old.name !== now.name) yield `Option style ${quoted(old.name)} was renamed to ${quoted(now.name)}`;
      for (const words of valueDifferences(old.values, now.values)) yield `Option style ${quoted(now.name)}: ${words}`;
    },
  );
  if (!same(before.css, after.css)) yield after.css === "" ? "has no extra CSS" : "has different extra CSS";
}
