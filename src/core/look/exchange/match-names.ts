import { words } from "../../engine/index/words.ts";
import { tokens } from "../tokens.ts";
import type { ForeignToken } from "./read-tokens.ts";

/** Common names of things, by our token. The first match wins. Common practice, no source. */
const called: readonly [token: string, all: readonly string[], not?: readonly string[]][] = [
  ["accent.ink", ["on", "primary"]],
  ["accent.ink", ["on", "accent"]],
  ["ink.quiet", ["text", "secondary"]],
  ["ink.quiet", ["text", "muted"]],
  ["ink.quiet", ["text", "subtle"]],
  ["ink.faded", ["text", "disabled"]],
  ["ink", ["text"], ["size", "weight", "family", "height", "line", "inverse"]],
  ["ink", ["foreground"]],
  ["ink", ["ink"]],
  ["line.edge", ["input", "border"]],
  ["line", ["border"], ["radius", "width"]],
  ["line", ["outline"], ["width"]],
  ["line", ["divider"]],
  ["ground.tint", ["surface", "secondary"]],
  ["ground.tint", ["background", "subtle"]],
  ["ground.tint", ["hover"]],
  ["ground", ["surface"]],
  ["ground", ["background"]],
  ["ground", ["paper"]],
  ["accent", ["primary"], ["hover", "active", "text"]],
  ["accent", ["accent"]],
  ["accent", ["brand"]],
  ["focus", ["focus"]],
  ["line.width", ["border", "width"]],
  ["radius.small", ["radius", "small"]],
  ["radius.small", ["radius", "sm"]],
  ["radius.large", ["radius", "large"]],
  ["radius.large", ["radius", "lg"]],
  ["radius", ["radius"]],
  ["text.font", ["font", "body"]],
  ["text.font", ["family"]],
  ["text.size", ["size", "body"]],
  ["text.size", ["font", "size"]],
  ["text.leading", ["line", "height"]],
  ["text.strong", ["weight", "bold"]],
  ["text.weight", ["weight"]],
  ["motion.short", ["duration", "fast"]],
  ["motion.time", ["duration"]],
  ["panel.shadow", ["shadow"]],
];

/** The token of ours that another tool's name probably means; undefined if none does or its type differs. */
export function guessToken({ path, ours }: Pick<ForeignToken, "path" | "ours">): string | undefined {
  const said = new Set(words(path.replace(/([a-z])([A-Z])/g, "$1 $2")));
  return called.find(
    ([token, all, not = []]) =>
      tokens.get(token)?.type === ours && all.every((word) => said.has(word)) && !not.some((word) => said.has(word)),
  )?.[0];
}

/** Our tokens by the path of another tool's token. If several match one, the shortest name wins. */
export function guessAll(found: readonly ForeignToken[]): Map<string, string> {
  const chosen = new Map<string, string>();
  const taken = new Set<string>();
  for (const token of [...found].sort((a, b) => a.path.length - b.path.length)) {
    const guess = guessToken(token);
    if (guess === undefined || taken.has(guess)) continue;
    taken.add(guess);
    chosen.set(token.path, guess);
  }
  return chosen;
}
