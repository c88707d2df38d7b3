import { oklch } from "culori";
import type { Element } from "domhandler";
import { contrast } from "../../swatch/measure.ts";
import { alphaOf, over } from "../colour.ts";
import { tokens } from "../tokens.ts";
import type { TokenValue } from "../value.ts";
import { valueFault } from "../value-fault.ts";
import { Cascade, type Computed } from "./cascade.ts";
import { probeOf } from "./probe.ts";
import type { Found, Sheet } from "./sheets.ts";
import { readAnyColour, readLength, withVariables } from "./values.ts";

/** A value read for a token, and where it was found. */
export interface LookReading {
  token: string;
  value: TokenValue;
  where: Pick<Found, "file" | "line" | "selector" | "property" | "value">;
  /** Number of times the style sheets use the same value for such properties. */
  times: number;
}

/** A shop's style sheets, and optionally a saved page. */
export interface Brought {
  sheets: readonly Sheet[];
  html?: string | undefined;
}

/**
 * Reads a shop's look from its own style sheets: fonts, colours, corners, lines, heights. With a saved page its
 * elements are examined, otherwise synthetic ones with the style sheet's own class names.
 * @throws SheetFault
 */
export function readLook({ sheets, html }: Brought): LookReading[] {
  const cascade = new Cascade(sheets);
  const probe = probeOf(cascade.rules, html);
  const root = pxOf(cascade, probe.html, 16, 16) ?? 16;
  const text = pxOf(cascade, probe.body, root, root) ?? root;
  const readings = new Map<string, LookReading>();
  const take = (
    token: string,
    found: Computed | undefined,
    read: (value: string) => TokenValue | undefined,
  ): boolean => {
    const definition = tokens.get(token);
    const value = found && read(found.value);
    if (
      !definition ||
      !found ||
      value === undefined ||
      valueFault(definition, value) !== undefined ||
      readings.has(token)
    )
      return false;
    const { file, line, selector, property, value: said } = found.from;
    readings.set(token, {
      token,
      value,
      where: { file, line, selector, property, value: said },
      times: timesOf(cascade, found),
    });
    return true;
  };
  const of = (element: Element | undefined, ...properties: string[]) =>
    element && cascade.computed(element, ...properties);
  const shown = (value: string) => {
    const colour =
      readAnyColour(value) ??
      readAnyColour(
        /(?:#[0-9a-f]{3,8}\b|(?:rgb|hsl|oklch|oklab|lab|lch|color)a?\([^()]*(?:\([^()]*\)[^()]*)*\)|\b[a-z]{3,20}\b)/i.exec(
          value,
        )?.[0] ?? "",
      );
    return colour !== undefined && alphaOf(colour) > 0 ? colour : undefined;
  };
  const solid = (value: string) => {
    const colour = shown(value);
    return colour === undefined ? undefined : over(colour, ground());
  };
  const ground = () => String(readings.get("ground")?.value ?? "#ffffff");
  const length = (value: string) => readLength(value.split(/[\s/]/)[0] ?? "", text, root);

  take("ground", of(probe.body, "background-color", "background"), shown) ||
    take("ground", of(probe.html, "background-color", "background"), shown);
  take("ink", of(probe.body, "color"), solid);
  take("text.font", of(probe.body, "font-family"), readFont) || take("text.font", of(probe.body, "font"), fontIn);
  take("text.size", of(probe.body, "font-size"), () => text);
  take("text.leading", of(probe.body, "line-height"), (value) => leading(value, text, root));
  take("text.strong", of(probe.strong, "font-weight"), readWeight) ||
    take("text.strong", of(probe.heading, "font-weight"), readWeight);
  take("title.font", of(probe.heading, "font-family"), readFont);
  take("title.ink", of(probe.heading, "color"), solid);
  take("title.weight", of(probe.heading, "font-weight"), readWeight);
  take("ink.quiet", of(probe.quiet, "color"), solid);

  // The colour of the main button, or the one named so in the style sheet, or that of links.
  const seen = (value: string) => {
    const colour = solid(value);
    return colour !== undefined && colour !== ground() && contrast(colour, ground()) > 1.15 ? colour : undefined;
  };
  // A grey button doesn't reveal the shop's own colour.
  const vivid = (value: string) => {
    const colour = seen(value);
    return colour !== undefined && (oklch(colour)?.c ?? 0) > minChroma ? colour : undefined;
  };
  const main = of(probe.primary, "background-color", "background");
  const fromButton = take("accent", main, vivid);
  if (!fromButton)
    take("accent", named(cascade, probe.html, /^--(?:[\w]+-)?(?:color-)?(?:primary|accent|brand)(?:-color)?$/), seen) ||
      take("accent", of(probe.link, "color"), seen) ||
      take("accent", main, seen);
  if (fromButton) take("accent.ink", of(probe.primary, "color"), shown);
  take("link.ink", of(probe.link, "color"), solid);

  take("radius", of(probe.primary, "border-radius"), length) ||
    take("radius", of(probe.button, "border-radius"), length) ||
    take("radius", of(probe.field, "border-radius"), length);
  take("field.radius", of(probe.field, "border-radius"), length);
  take("button.radius", of(probe.primary, "border-radius"), length);
  take("line.edge", of(probe.field, "border-color", "border", "border-bottom-color", "border-bottom"), solid);
  take(
    "line",
    of(probe.line, "border-color", "border-top-color", "border-top", "border-bottom-color", "border-bottom", "border"),
    solid,
  );
  take("line.width", of(probe.field, "border-width", "border"), (value) => lengthIn(value, text, root));
  take("field.ground", of(probe.field, "background-color", "background"), shown);
  take("field.height", of(probe.field, "height", "min-height"), length);
  take("height.bar", of(probe.primary, "height", "min-height"), length);
  take("button.weight", of(probe.primary, "font-weight"), readWeight);
  const focused = focusOf(cascade, probe.field ?? probe.body);
  take("focus", focused, vivid);
  return [...readings.values()];
}

/** Chroma in OKLCH below which a colour counts as grey. Common practice, no source. */
const minChroma = 0.03;

function pxOf(cascade: Cascade, element: Element, em: number, root: number): number | undefined {
  const own = cascade
    .declarationsOf(element)
    .filter(({ property }) => property === "font-size")
    .at(-1);
  const value = own && withVariables(own.value, cascade.variablesOf(element));
  return value === undefined ? undefined : (readLength(value, em, root) ?? clampedLength(value, em, root));
}

/** The middle of clamp(), or the first argument of min() and max(): close enough for a text size. */
function clampedLength(value: string, em: number, root: number): number | undefined {
  const inside = /^(?:clamp|min|max)\((.*)\)$/.exec(value)?.[1];
  return inside
    ?.split(",")
    .map((part) => readLength(part, em, root))
    .filter((px) => px !== undefined)
    .at(-1);
}

const lengthIn = (value: string, em: number, root: number): number | undefined =>
  value
    .split(/\s+/)
    .map((part) => readLength(part, em, root))
    .find((px) => px !== undefined);

function leading(value: string, size: number, root: number): number | undefined {
  const plain = /^[\d.]+$/.test(value) ? Number(value) : undefined;
  const px = plain === undefined ? readLength(value, size, root) : undefined;
  return plain ?? (px === undefined ? undefined : Number((px / size).toFixed(2)));
}

const readWeight = (value: string): number | undefined =>
  ({ normal: 400, bold: 700 })[value] ?? (/^\d+$/.test(value) ? Number(value) : undefined);

/** Font families for a look: quoted unless they are a plain word. */
function readFont(value: string): string | undefined {
  const families = value
    .split(",")
    .map((family) => family.trim().replace(/^["'](.*)["']$/, "$1"))
    .filter((family) => family !== "");
  const written = families.map((family) =>
    /^-?[A-Za-z][\w-]*$/.test(family) ? family : `"${family.replace(/["\\{};<>]/g, "")}"`,
  );
  return written.length > 0 ? written.join(", ") : undefined;
}

/** The families in the `font` shorthand, after size and line height. */
function fontIn(value: string): string | undefined {
  const words = value
    .slice(0, 2000)
    .replace(/\s+/g, " ")
    .replace(/ ?\/ ?/g, "/")
    .split(" ");
  const size = words.findIndex((word) => /^(?:[\d.]+(?:px|r?em|%|pt)|medium|small|large)(?:\/|$)/.test(word));
  return size < 0 ? undefined : readFont(words.slice(size + 1).join(" "));
}

/** A custom property that the author has named after its purpose. */
function named(cascade: Cascade, element: Element, pattern: RegExp): Computed | undefined {
  const found = cascade
    .declarationsOf(element)
    .filter(({ property }) => pattern.test(property))
    .at(-1);
  const value = found && withVariables(found.value, cascade.variablesOf(element));
  return found && value !== undefined ? { value, from: found } : undefined;
}

/** The focus style of a field. */
function focusOf(cascade: Cascade, element: Element): Computed | undefined {
  const found = cascade.rules
    .filter(({ selector, state }) => state === "focus" && selector !== "" && cascade.matches(element, selector))
    .flatMap(({ declarations }) => declarations)
    .filter(({ property }) => ["outline-color", "outline", "border-color", "box-shadow", "border"].includes(property));
  for (const from of found.reverse()) {
    const value = withVariables(from.value, cascade.variablesOf(element));
    if (value !== undefined && !/^(?:none|0|transparent)$/.test(value)) return { value, from };
  }
  return undefined;
}

/** Number of declarations with the same value for properties of that name. */
function timesOf(cascade: Cascade, { from }: Computed): number {
  let times = 0;
  for (const { declarations } of cascade.rules)
    for (const { property, value } of declarations) if (property === from.property && value === from.value) times++;
  return times;
}
