import { type Band, bands } from "../settings/band.ts";
import { contrast } from "../swatch/measure.ts";
import { alphaOf, over } from "./colour.ts";
import type { Judged, LookPart } from "./part.ts";
import { type LookValues, type Scheme, valueOn } from "./resolve.ts";
import { parts, type Token, tokenName, tokens } from "./tokens.ts";
import { stateBefore, type TokenState } from "./value.ts";

/** Minimum contrast ratios. Source: WCAG 2.2, success criteria 1.4.3 and 1.4.11. */
export const needed = { text: 4.5, "large text": 3, control: 3, focus: 3 } as const;

/**
 * Minimum target size in CSS px, and the recommended one for touch. Source: WCAG 2.2, 2.5.8; 44 px: common practice,
 * and 2.5.5.
 */
export const minTarget = 24;
export const fingerTarget = 44;

/** A detail of a look that is hard to see or to hit. */
export interface LookIssue {
  kind: "contrast" | "alone" | "target" | "same picture";
  part: string;
  /** The token that is at fault. */
  token: string;
  state: TokenState;
  /** The affected bands and colour schemes. */
  bands: Band[];
  scheme: Scheme;
  /** For a contrast: the two colours as seen, and what they are. */
  seen?: { colour: string; grounds: readonly string[]; as: keyof typeof needed };
  /** The measured and the required value: a ratio, or CSS px. */
  is: number;
  needed: number;
  /** Not a failure of the standard, only a possible improvement. */
  offered?: boolean;
}

/** A look on one band and in one scheme. */
class Seen {
  readonly #look: LookValues;
  readonly band: Band;
  readonly scheme: Scheme;
  constructor(look: LookValues, band: Band, scheme: Scheme) {
    this.#look = look;
    this.band = band;
    this.scheme = scheme;
  }

  /** The value of a part's property; a state without its own inherits from the state before it. */
  value(part: string, property: string, state: TokenState): string | number | undefined {
    for (let at = state; ; at = stateBefore[at as Exclude<TokenState, "rest">]) {
      const name = tokenName(part, property, at);
      if (tokens.has(name)) {
        const value = valueOn(this.#look, name, this.band, this.scheme);
        return typeof value === "object" ? undefined : value;
      }
      if (at === "rest") return undefined;
    }
  }

  colour(part: string, property: string, state: TokenState = "rest"): string {
    return String(this.value(part, property, state) ?? "#00000000");
  }

  size(part: string, property: string, state: TokenState = "rest"): number {
    return Number(this.value(part, property, state) ?? 0);
  }

  /** The possible backgrounds of a part: of the page and of a drawer, and for options of a dropdown's list. */
  groundsOf(name: string, { group }: LookPart): string[] {
    const page = over(this.colour("ground", "page"), "#ffffff");
    if (group === "Shop" || group === "Listing") return [page];
    const panel = this.colour("panel", "ground");
    const drawer = over(this.colour("drawer", "ground"), page);
    const inPanel = [over(panel, page), over(panel, drawer)];
    const list = ["option", "box", "count"].includes(name)
      ? inPanel.map((ground) => over(this.colour("menu", "ground"), ground))
      : [];
    return [...new Set([...inPanel, ...list])];
  }
}

/** Whether text counts as large. Source: WCAG 2.2, 1.4.3: 18 pt, or 14 pt and bold. */
const isLarge = (size: number, weight: number): boolean => size >= 24 || (size >= 18.66 && weight >= 700);

function judgePair(
  seen: Seen,
  name: string,
  part: LookPart,
  pair: Judged,
  state: TokenState,
): Omit<LookIssue, "bands" | "scheme"> | undefined {
  const { of, on, as, or, size, weight } = pair;
  // The standard requires no contrast of disabled options; their words are audited anyway, since people read them.
  if (as === "control" && state === "unavailable") return undefined;
  // A picture replaces this property.
  const { under } = part.properties[of] ?? {};
  if (under && seen.value(name, under, state)) return undefined;
  const colour = seen.colour(name, of, state);
  const around = seen.groundsOf(name, part);
  // A mark has a colour only in states that show it.
  if (as === "control" && alphaOf(colour) === 0 && !or) return undefined;
  if (of === "ring" && seen.size(name, "ring-width", state) === 0) return undefined;
  const grounds = around.map((ground) => (on ? over(seen.colour(name, on, state), ground) : ground));
  const worst = (top: string, against: readonly string[]) =>
    Math.min(...against.map((ground) => contrast(over(top, ground), ground)));
  let is = worst(colour, grounds);
  if (or) is = Math.max(is, worst(seen.colour(name, or, state), around));
  const kind =
    as === "text" && isLarge(size ? seen.size(name, size, state) : 0, weight ? seen.size(name, weight, state) : 400)
      ? "large text"
      : as;
  if (is >= needed[kind]) return undefined;
  return {
    kind: "contrast",
    part: name,
    token: nearestToken(name, of, state),
    state,
    seen: { colour: over(colour, grounds[0] ?? "#ffffff"), grounds, as: kind },
    is,
    needed: needed[kind],
  };
}

/** The token of a property in a state, or in the nearest state before it. */
function nearestToken(part: string, property: string, state: TokenState): string {
  const name = tokenName(part, property, state);
  return tokens.has(name) || state === "rest" ? name : nearestToken(part, property, stateBefore[state]);
}

/**
 * Parts without a mark, in which chosen options must differ visibly, each with the part that they inherit from: a tag
 * and a toggle are tiles too.
 */
const toldBySelf: Readonly<Record<string, string>> = { tile: "tile", tag: "tile", toggle: "tile", picture: "picture" };

/** Whether chosen and unchosen differ only by colours that are too similar. Source: WCAG 2.2, 1.4.1. */
function judgeAlone(seen: Seen, name: string, part: LookPart): Omit<LookIssue, "bands" | "scheme"> | undefined {
  const like = toldBySelf[name];
  if (like === undefined) return undefined;
  const owner = (property: string) => (tokens.has(tokenName(name, property)) ? name : like);
  const differs = (property: string, by: number) =>
    Math.abs(seen.size(owner(property), property, "chosen") - seen.size(owner(property), property)) >= by;
  if (differs("edge-width", 1) || differs("weight", 200)) return undefined;
  if (seen.value(owner("style"), "style", "chosen") !== seen.value(owner("style"), "style", "rest")) return undefined;
  const [ground = "#ffffff"] = seen.groundsOf(name, part);
  const ratio = (property: string) =>
    contrast(over(seen.colour(name, property, "chosen"), ground), over(seen.colour(name, property), ground));
  const is = Math.max(ratio("ground"), ratio("edge"));
  if (is >= needed.control) return undefined;
  return {
    kind: "alone",
    part: name,
    token: tokenName(owner("edge-width"), "edge-width", "chosen"),
    state: "chosen",
    is,
    needed: needed.control,
  };
}

/** Whether chosen and unchosen options show the same picture. */
function judgePicture(seen: Seen, name: string, part: LookPart): Omit<LookIssue, "bands" | "scheme"> | undefined {
  if (!part.properties.picture) return undefined;
  const rest = seen.value(name, "picture", "rest");
  if (!rest || seen.value(name, "picture", "chosen") !== rest) return undefined;
  const token = tokenName(name, "picture", "chosen");
  return { kind: "same picture", part: name, token, state: "chosen", is: 1, needed: needed.control };
}

/** Clickable parts, with the property of their height and the space around them that counts. */
const targets: readonly [part: string, property: string, room?: string][] = [
  ["option", "height"],
  ["tile", "height", "room"],
  ["tag", "height", "room"],
  ["toggle", "height"],
  ["swatch", "size", "gap"],
  ["chip", "height"],
  ["field", "height"],
  ["button", "height"],
  ["opener", "height"],
  ["slider", "handle"],
  ["switch", "height"],
];

function* judgeTargets(seen: Seen): Generator<Omit<LookIssue, "bands" | "scheme">> {
  for (const [part, property, room] of targets) {
    const size = seen.size(part, property);
    const token = tokenName(part, property);
    const same = { kind: "target" as const, part, token, state: "rest" as const, is: size };
    // A small target is enough if its neighbours are far away: circles of 24 px around them don't overlap. Source:
    // 2.5.8.
    if (size + (room ? seen.size(part, room) : 0) < minTarget && size < minTarget) yield { ...same, needed: minTarget };
    else if (seen.band === "slim" && size < fingerTarget && !["slider", "switch", "chip", "swatch"].includes(part))
      yield { ...same, needed: fingerTarget, offered: true };
  }
}

function* judgeOn(seen: Seen): Generator<Omit<LookIssue, "bands" | "scheme">> {
  for (const [name, part] of Object.entries(parts)) {
    for (const pair of part.judged ?? [])
      for (const state of Object.keys(part.states ?? { rest: "" }) as TokenState[]) {
        const miss = judgePair(seen, name, part, pair, state);
        if (miss) yield miss;
      }
    const alone = judgeAlone(seen, name, part);
    if (alone) yield alone;
    const same = judgePicture(seen, name, part);
    if (same) yield same;
  }
  const focus = seen.colour("focus", "");
  const grounds = seen.groundsOf("panel", parts.panel as LookPart);
  const is = Math.min(...grounds.map((ground) => contrast(over(focus, ground), ground)));
  if (is < needed.focus)
    yield {
      kind: "contrast",
      part: "focus",
      token: "focus",
      state: "focused",
      seen: { colour: focus, grounds, as: "focus" },
      is,
      needed: needed.focus,
    };
  if (seen.scheme === "light") yield* judgeTargets(seen);
}

/**
 * All contrast and target issues of a look, worst first, by the distance from the requirement. The same issue in
 * several states is listed once per state, with all its bands.
 */
export function auditLook(look: LookValues): LookIssue[] {
  const found = new Map<string, LookIssue>();
  const schemes: Scheme[] = Object.keys(look.dark).length > 0 ? ["light", "dark"] : ["light"];
  for (const scheme of schemes)
    for (const band of bands)
      for (const miss of judgeOn(new Seen(look, band, scheme))) {
        const name = [miss.kind, miss.token, miss.state, miss.seen?.as, miss.is, scheme].join();
        const known = found.get(name);
        if (known) known.bands.push(band);
        else found.set(name, { ...miss, bands: [band], scheme });
      }
  return [...found.values()].sort(
    (a, b) => Number(a.offered ?? false) - Number(b.offered ?? false) || a.is / a.needed - b.is / b.needed,
  );
}

/**
 * The backgrounds under a colour and its required contrast, for a picker that draws the limit.
 * @returns undefined if nothing is audited by it
 */
export function groundsUnder(
  look: LookValues,
  token: Pick<Token, "part" | "property" | "state">,
  band: Band,
  scheme: Scheme,
): { grounds: string[]; needed: number } | undefined {
  const part = parts[token.part];
  const pair = part?.judged?.find(({ of }) => of === token.property);
  const seen = new Seen(look, band, scheme);
  // The basic values are audited on the panel's own background.
  if (
    part &&
    !pair &&
    part.group === "Basics" &&
    ["ink", "accent", "focus"].includes(token.part) &&
    token.property !== "ink"
  )
    return {
      grounds: seen.groundsOf("panel", parts.panel as LookPart),
      needed: token.part === "ink" ? needed.text : needed.control,
    };
  if (!part || !pair) return undefined;
  const around = seen.groundsOf(token.part, part);
  const { on } = pair;
  const grounds = around.map((ground) => (on ? over(seen.colour(token.part, on, token.state), ground) : ground));
  return { grounds: [...new Set(grounds)], needed: pair.as === "text" ? needed.text : needed.control };
}
