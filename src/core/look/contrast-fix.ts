import { withBand } from "../settings/band.ts";
import { auditLook, type LookIssue } from "./audit.ts";
import { nearestPassing } from "./colour.ts";
import { type LookValues, referencesOf, tokenSettingOf } from "./resolve.ts";
import { type Token, tokens } from "./tokens.ts";
import type { TokenValue } from "./value.ts";

/** A fix: another value for a token, on the bands or in the scheme of the issue. */
export interface LookFix {
  token: Token;
  value: TokenValue;
  look: LookValues;
}

/** A look with a token changed on the bands or in the scheme of an issue. */
function withMended(look: LookValues, { scheme, bands }: LookIssue, token: Token, value: TokenValue): LookValues {
  if (scheme === "dark") return { ...look, dark: { ...look.dark, [token.name]: value } };
  const setting = bands.includes("wide")
    ? { wide: value }
    : bands.reduce((now, band) => withBand(now, band, value), tokenSettingOf(look, token));
  return { ...look, values: { ...look.values, [token.name]: setting } };
}

/** Sum of a look's failures, each by its distance from the requirement. */
const badness = (look: LookValues): number =>
  auditLook(look).reduce((sum, { is, needed, offered }) => sum + (offered ? 0 : 1 + (1 - is / needed)), 0);

/**
 * The smallest fix: the nearest passing colour, a thicker line, a larger size. If the token follows another, the one
 * that fixes most issues at once is changed.
 * @returns undefined if there is none, as for text between a light and a dark background
 */
export function fixFor(look: LookValues, miss: LookIssue): LookFix | undefined {
  const own = tokens.get(miss.token);
  if (!own) return undefined;
  if (miss.kind === "target") return mended(look, miss, own, miss.needed);
  if (miss.kind === "alone") {
    const width = Number(look.values[miss.token]?.wide ?? 1);
    return mended(look, miss, own, (Number.isFinite(width) ? width : 1) + 1);
  }
  // Only the designer knows which picture says “chosen”.
  if (!miss.seen) return undefined;
  const colour = nearestPassing(miss.seen.colour, miss.seen.grounds, miss.needed);
  if (colour === undefined) return undefined;
  const candidates = [own.name, ...referencesOf(look, own.name, miss.bands[0], miss.scheme)].flatMap((name) => {
    const token = tokens.get(name);
    return token?.type === "colour" ? [mended(look, miss, token, colour)] : [];
  });
  const judged = candidates.map((mend) => ({ mend, left: badness(mend.look) }));
  const before = badness(look);
  // Of equally good fixes, the one nearest to the token at fault, which alters least else.
  return judged.filter(({ left }) => left < before).sort((a, b) => a.left - b.left)[0]?.mend;
}

const mended = (look: LookValues, miss: LookIssue, token: Token, value: TokenValue): LookFix => ({
  token,
  value,
  look: withMended(look, miss, token, value),
});

/** A look with every possible fix applied. @param most maximum number of fixes */
export function fixAll<L extends LookValues>(look: L, most = 200): L {
  let now: L = look;
  for (let step = 0; step < most; step++) {
    const mend = auditLook(now)
      .filter(({ offered }) => !offered)
      .map((miss) => fixFor(now, miss))
      .find((one) => one !== undefined);
    if (!mend) return now;
    now = { ...now, values: mend.look.values, dark: mend.look.dark };
  }
  return now;
}
