import { converter, formatHex, formatHex8, interpolate, parse } from "culori";

/** Values of custom properties in effect. */
export type Variables = ReadonlyMap<string, string>;

/** Reads the bracket that opens at an offset. @returns its content, and the offset after it */
function bracket(text: string, at: number): [inside: string, end: number] {
  let depth = 0;
  for (let place = at; place < text.length; place++) {
    if (text[place] === "(") depth++;
    if (text[place] === ")" && --depth === 0) return [text.slice(at + 1, place), place + 1];
  }
  return [text.slice(at + 1), text.length];
}

/** Splits at commas outside brackets. */
function atCommas(text: string): string[] {
  const parts: string[] = [];
  let [depth, start] = [0, 0];
  for (let place = 0; place < text.length; place++) {
    if (text[place] === "(") depth++;
    if (text[place] === ")") depth--;
    if (text[place] !== "," || depth > 0) continue;
    parts.push(text.slice(start, place));
    start = place + 1;
  }
  return [...parts, text.slice(start)].map((part) => part.trim());
}

/** A value with its variables substituted. @returns undefined if one is unknown or they are circular */
export function withVariables(value: string, variables: Variables, depth = 0): string | undefined {
  if (depth > 30 || value.length > 10_000) return undefined;
  const at = value.search(/\bvar\(/);
  if (at < 0) return value;
  const [inside, end] = bracket(value, at + 3);
  const [name = "", ...rest] = atCommas(inside);
  const known = variables.get(name);
  const own = known === undefined ? undefined : withVariables(known, variables, depth + 1);
  const put = own ?? (rest.length > 0 ? withVariables(rest.join(","), variables, depth + 1) : undefined);
  if (put === undefined) return undefined;
  return withVariables(value.slice(0, at) + put + value.slice(end), variables, depth + 1);
}

interface Amount {
  n: number;
  unit: string;
}

/** Evaluates calc(): sums and products of amounts in one unit. */
export function evaluateCalc(text: string): Amount | undefined {
  const tokens = text.match(/[\d.]+(?:e[+-]?\d+)?[a-z%]*|[-+*/()]/gi) ?? [];
  let place = 0;
  const sum = (): Amount | undefined => {
    let left = product();
    while (left && (tokens[place] === "+" || tokens[place] === "-")) {
      const sign = tokens[place++] === "+" ? 1 : -1;
      const right = product();
      if (!right) return undefined;
      if (left.unit !== right.unit && left.n !== 0 && right.n !== 0) return undefined;
      left = { n: left.n + sign * right.n, unit: left.n === 0 ? right.unit : left.unit };
    }
    return left;
  };
  const product = (): Amount | undefined => {
    let left = one();
    while (left && (tokens[place] === "*" || tokens[place] === "/")) {
      const times = tokens[place++] === "*";
      const right = one();
      if (!right) return undefined;
      left = times ? { n: left.n * right.n, unit: left.unit || right.unit } : { n: left.n / right.n, unit: left.unit };
    }
    return left;
  };
  const one = (): Amount | undefined => {
    const token = tokens[place++];
    if (token === "-") {
      const rest = one();
      return rest && { ...rest, n: -rest.n };
    }
    if (token === "(") {
      const inside = sum();
      if (tokens[place++] !== ")") return undefined;
      return inside;
    }
    const match = /^([\d.]+(?:e[+-]?\d+)?)([a-z%]*)$/i.exec(token ?? "");
    return match ? { n: Number(match[1]), unit: (match[2] ?? "").toLowerCase() } : undefined;
  };
  const found = sum();
  return place >= tokens.length && found && Number.isFinite(found.n) ? found : undefined;
}

/** A value with every calc() evaluated as far as possible. */
export function withCalc(value: string, depth = 0): string {
  const at = value.search(/\bcalc\(/);
  if (at < 0 || depth > 30) return value;
  const [inside, end] = bracket(value, at + 4);
  const amount = evaluateCalc(inside.replaceAll("calc(", "("));
  if (!amount) return value;
  return withCalc(`${value.slice(0, at)}${amount.n}${amount.unit}${value.slice(end)}`, depth + 1);
}

const rgb = converter("rgb");

/** A colour as `#rrggbb` or `#rrggbbaa`, whatever its notation. @returns undefined if it isn't a colour */
export function readAnyColour(value: string): string | undefined {
  const text = withCalc(value.trim().replace(/\s+/g, " "));
  if (/^color-mix\(.*\)$/is.test(text)) {
    const inside = text.slice("color-mix(".length, -1);
    const [word, space = "srgb"] = (inside.split(",", 1)[0] ?? "").trim().split(" ");
    return word === "in" ? mixed(space, inside.slice(inside.indexOf(",") + 1)) : undefined;
  }
  const alpha = /^(rgba?|hsla?)\(\s*(#[0-9a-f]{3,8})\s*[,/]\s*([\d.]+%?)\s*\)$/i.exec(text);
  const parsed = parse(alpha ? (alpha[2] ?? "") : text);
  const colour = parsed && rgb(parsed);
  if (!colour || [colour.r, colour.g, colour.b].some((one) => !Number.isFinite(one))) return undefined;
  const strength = alpha
    ? alpha[3]?.endsWith("%")
      ? Number.parseFloat(alpha[3]) / 100
      : Number(alpha[3])
    : (colour.alpha ?? 1);
  return strength < 1 ? formatHex8({ ...colour, alpha: strength }) : formatHex(colour);
}

/** Two mixed colours. Source: CSS Color Module Level 5, color-mix(), for shares that add up to a hundred. */
function mixed(space: string, rest: string): string | undefined {
  const parts = atCommas(rest).map((part) => {
    const share = /([\d.]{1,20})%/.exec(part)?.[1];
    return {
      colour: readAnyColour(part.replace(/[\d.]{1,20}%/, "")),
      share: share === undefined ? undefined : Number(share) / 100,
    };
  });
  const [a, b] = parts;
  if (!a?.colour || !b?.colour) return undefined;
  const share = b.share ?? (a.share === undefined ? 0.5 : 1 - a.share);
  const mode =
    space === "srgb" ? "rgb" : (["oklch", "oklab", "lab", "lch", "hsl"] as const).find((one) => one === space);
  const colour = rgb(interpolate([a.colour, b.colour], mode ?? "rgb")(share));
  return colour.alpha !== undefined && colour.alpha < 1 ? formatHex8(colour) : formatHex(colour);
}

/** A length in CSS px. @param em 1em in px @param root 1rem in px */
export function readLength(value: string, em: number, root: number): number | undefined {
  const text = withCalc(value.trim().replace(/\s+/g, " "));
  if (text === "0") return 0;
  const match = /^(-?[\d.]+)(px|r?em|%|pt)$/i.exec(text);
  if (!match) return undefined;
  const factor = { px: 1, em, rem: root, "%": em / 100, pt: 4 / 3 }[(match[2] ?? "").toLowerCase()];
  return factor === undefined ? undefined : Number((Number(match[1]) * factor).toFixed(2));
}
