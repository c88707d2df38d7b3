import { type Band, type Banded, resolve } from "../settings/band.ts";
import { type Token, tokens } from "./tokens.ts";
import { referenceIn, type TokenValue } from "./value.ts";

/** Values of tokens that differ from their defaults; each may differ by band. */
export type TokenValues = Readonly<Record<string, Banded<TokenValue> | undefined>>;

/** A look's own values: values, and colours for shoppers who prefer dark. */
export interface LookValues {
  values: TokenValues;
  dark: Readonly<Record<string, TokenValue | undefined>>;
}

/** Light, or dark for shoppers who prefer that. */
export type Scheme = "light" | "dark";

/** The value of a token on all bands: from the look, or its default. */
export const tokenSettingOf = ({ values }: Pick<LookValues, "values">, token: Token): Banded<TokenValue> =>
  (Object.hasOwn(values, token.name) ? values[token.name] : undefined) ?? token.fallback;

/** The value of a token on a band, before references are resolved. */
export const tokenSettingOn = (look: LookValues, token: Token, band: Band, scheme: Scheme): TokenValue =>
  (scheme === "dark" && Object.hasOwn(look.dark, token.name) ? look.dark[token.name] : undefined) ??
  resolve(tokenSettingOf(look, token), band);

/**
 * The value of a token on a band, with references resolved.
 * @returns undefined for an unknown name, or one that follows itself
 */
export function valueOn(
  look: LookValues,
  name: string,
  band: Band = "wide",
  scheme: Scheme = "light",
): TokenValue | undefined {
  const seen = new Set<string>();
  for (let at = name; !seen.has(at); ) {
    seen.add(at);
    const token = tokens.get(at);
    if (!token) return undefined;
    const value = tokenSettingOn(look, token, band, scheme);
    const next = referenceIn(value);
    if (next === undefined) return value;
    at = next;
  }
  return undefined;
}

/** The chain of tokens that a token follows, nearest first. */
export function referencesOf(look: LookValues, name: string, band: Band = "wide", scheme: Scheme = "light"): string[] {
  const way: string[] = [];
  for (let at: string | undefined = name; at !== undefined && !way.includes(at); ) {
    way.push(at);
    const token = tokens.get(at);
    at = token && referenceIn(tokenSettingOn(look, token, band, scheme));
  }
  return way.slice(1);
}

/** By token, those that follow it directly on some band or in dark mode. */
export function followersOf(look: LookValues): ReadonlyMap<string, readonly string[]> {
  const followers = new Map<string, string[]>();
  for (const token of tokens.values())
    for (const value of new Set([...Object.values(tokenSettingOf(look, token)), look.dark[token.name]])) {
      const followed = value === undefined ? undefined : referenceIn(value);
      if (followed !== undefined) followers.set(followed, [...(followers.get(followed) ?? []), token.name]);
    }
  return followers;
}

/**
 * The tokens that follow others directly or indirectly, including those themselves.
 * @param followers of the look, if already computed
 */
export function dependents(look: LookValues, names: Iterable<string>, followers = followersOf(look)): Set<string> {
  const found = new Set(names);
  // Iterating a set also visits entries added meanwhile.
  for (const name of found) for (const follower of followers.get(name) ?? []) found.add(follower);
  return found;
}
