import type { Edit } from "../document/edit.ts";
import { type Band, type Banded, withBand, withoutBand } from "../settings/band.ts";
import type { LookDocument } from "./look-schema.ts";
import { type TokenValues, tokenSettingOf } from "./resolve.ts";
import { lowercaseLabel, parts, type Token } from "./tokens.ts";
import type { TokenValue } from "./value.ts";

/** One step over a look. */
export type LookEdit = Edit<LookDocument>;

/** A token in words, like “Tile: background, chosen”. */
export function spokenToken({ part, label, state }: Pick<Token, "part" | "label" | "state">): string {
  const name = `${parts[part]?.label ?? part}: ${lowercaseLabel(label)}`;
  return state === "rest" ? name : `${name}, ${state.replace("-", " and ")}`;
}

/** Values with one set on a band; setting what it would follow anyway makes it follow again. */
export function withValue(values: TokenValues, token: Token, band: Band, value: TokenValue): TokenValues {
  return { ...values, [token.name]: withBand(tokenSettingOf({ values }, token), band, value) };
}

/** Values with one reset: on a narrower band it follows the wider one, on the wide band its default. */
export function withoutValue(values: TokenValues, token: Token, band: Band): TokenValues {
  const setting = values[token.name];
  const { [token.name]: _old, ...rest } = values;
  return band === "wide" || !setting ? rest : { ...rest, [token.name]: withoutBand(setting, band) };
}

/** Sets a token on a band and on those that follow it. */
export const setToken = (token: Token, band: Band, value: TokenValue): LookEdit => ({
  words: `${spokenToken(token)}${band === "wide" ? "" : ` on ${band}`}`,
  change: (look) => {
    look.values = withValue(look.values, token, band, value);
  },
});

/** Resets a token to what it follows. */
export const resetToken = (token: Token, band: Band): LookEdit => ({
  words: `${spokenToken(token)} reset`,
  change: (look) => {
    look.values = withoutValue(look.values, token, band);
  },
});

/** Sets the colour of a token for shoppers who prefer dark; undefined resets it. */
export const setDark = (token: Token, value: TokenValue | undefined): LookEdit => ({
  words: `${spokenToken(token)} in dark mode`,
  change: (look) => {
    const { [token.name]: _old, ...rest } = look.dark;
    look.dark = value === undefined ? rest : { ...rest, [token.name]: value };
  },
});

/** Sets many tokens as one step. */
export const setTokens = (words: string, given: Readonly<Record<string, Banded<TokenValue>>>): LookEdit => ({
  words,
  change: (look) => {
    look.values = { ...look.values, ...given };
  },
});

/** Takes over another look's values, dark colours, option styles and extra CSS. */
export const takeLook = (words: string, from: Omit<LookDocument, "format" | "name">): LookEdit => ({
  words,
  change: (look) => {
    Object.assign(look, structuredClone({ values: from.values, dark: from.dark, styles: from.styles, css: from.css }));
  },
});

export const setLookName = (name: string): LookEdit => ({
  words: "Rename the look",
  change: (look) => {
    look.name = name;
  },
});

export const setExtraCss = (css: string): LookEdit => ({
  words: "Extra CSS",
  change: (look) => {
    look.css = css;
  },
});

/** Adds an option style. @param id not in use yet */
export const addStyle = (id: string, name: string, values: TokenValues = {}): LookEdit => ({
  words: `Option style ${name}`,
  change: (look) => {
    look.styles.push({ id, name, values: { ...values } });
  },
});

export const removeStyle = (id: string): LookEdit => ({
  words: "Remove an option style",
  change: (look) => {
    look.styles = look.styles.filter((style) => style.id !== id);
  },
});

/** Changes an option style's name or values. */
export const changeStyle = (id: string, words: string, next: { name?: string; values?: TokenValues }): LookEdit => ({
  words,
  change: (look) => {
    const style = look.styles.find((one) => one.id === id);
    if (style && next.name !== undefined) style.name = next.name;
    if (style && next.values !== undefined) style.values = { ...next.values };
  },
});
