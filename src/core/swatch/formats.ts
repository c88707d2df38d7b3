import { formatHex, parse } from "culori";
import Papa from "papaparse";
import { identity } from "../catalogue/identity.ts";
import type { Drawing, SwatchEntry } from "./book-schema.ts";

/** One line of a list of swatches: a value's name and its swatch. */
export interface SwatchLine {
  /** Key of the field; absent for any field with the value. */
  field?: string;
  name: string;
  entry: SwatchEntry;
  /**
   * Given for this field only, or for every field with the value; or guessed, from the name or from pictures. Default:
   * given
   */
  from?: LineSource;
}

export const lineSources = ["own", "shared", "name", "photos"] as const;
export type LineSource = (typeof lineSources)[number];

/** A line that could not be read, and why. */
export interface LineProblem {
  row: number;
  text: string;
  message: string;
}

/**
 * Any CSS colour as `#rrggbb`; undefined for other texts. Source: CSS Color Module Level 4, as implemented by culori.
 */
export function readColour(text: string): string | undefined {
  const colour = parse(text.trim());
  if (!colour) return undefined;
  // Transparent pixels are not part of a swatch.
  delete colour.alpha;
  return formatHex(colour);
}

/**
 * Writes swatches as CSV: field, value, up to four colours, drawing, picture, alternative text, and whether it is
 * given or guessed.
 */
export const writeSwatchCsv = (lines: readonly SwatchLine[]): string =>
  `${Papa.unparse([
    ["field", "value", "colours", "drawing", "picture", "alt", "from"],
    ...lines.map(({ field = "", name, entry, from = "" }) => [
      field,
      name,
      (entry.colours ?? []).join(" "),
      entry.drawing ?? "",
      entry.picture ?? "",
      entry.alt ?? "",
      from,
    ]),
  ])}\r\n`;

const header = /^(?:field|value|name)$/i;

/**
 * Reads swatches from CSV with the header of {@link writeSwatchCsv}, or from lines of a name and its colours,
 * separated by any separator, a colon or a space. Colours are any CSS colours, several separated by spaces, slashes or
 * commas.
 */
export function readSwatchCsv(text: string): { lines: SwatchLine[]; problems: LineProblem[] } {
  const { data } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: true, delimitersToGuess: [",", "\t", ";"] });
  const lines: SwatchLine[] = [];
  const problems: LineProblem[] = [];
  const names = data[0]?.some((cell) => header.test(cell.trim())) ? data[0].map((cell) => identity(cell)) : undefined;
  for (const [at, cells] of data.entries()) {
    if (names && at === 0) continue;
    const cell = (name: string, place: number) =>
      (names ? (cells[names.indexOf(name)] ?? "") : (cells[place] ?? "")).trim();
    const [first, rest] = names ? ["", ""] : inOneCell(cells);
    const name = names ? cell("value", 0) || cell("name", 0) : first;
    const given = names ? cell("colours", 1) || cell("colour", 1) || cell("color", 1) : rest;
    const colours = splitColours(given);
    const fault = faultOf(name, given, colours);
    if (fault || !colours) {
      problems.push({ row: at + 1, text: cells.join(", "), message: fault ?? "" });
      continue;
    }
    const drawing = cell("drawing", 9) as Drawing;
    const entry: SwatchEntry = {
      ...(colours.length > 0 ? { colours } : {}),
      ...(drawing === "stripes" ? { drawing } : {}),
      ...(names && cell("picture", 9) ? { picture: cell("picture", 9) } : {}),
      ...(names && cell("alt", 9) ? { alt: cell("alt", 9) } : {}),
    };
    const field = names ? cell("field", 9) : "";
    const from = lineSources.find((one) => names && one === cell("from", 9));
    lines.push({ ...(field ? { field } : {}), name, entry, ...(from ? { from } : {}) });
  }
  return { lines, problems };
}

/** A name and its colours; a single cell is split at a colon, or before the first colour. */
function inOneCell(cells: readonly string[]): [name: string, given: string] {
  const [first = "", ...others] = cells;
  if (others.join("").trim() !== "") return [first.trim().replace(/[:=]$/, "").trim(), others.join(",").trim()];
  const mark = first.slice(1).search(/[:=]/) + 1;
  const at =
    mark > 0 && first.slice(mark + 1).trim() !== "" ? mark : first.search(/\s(?:#[0-9a-f]{3,8}|[a-z]{1,20}\()/i);
  return at > 0 ? [first.slice(0, at).trim(), first.slice(at + 1).trim()] : [first.trim(), ""];
}

function faultOf(name: string, given: string, colours: string[] | undefined): string | undefined {
  if (name === "") return "The name is missing. Write it like: Sage, #9cab86";
  if (colours === undefined) return `“${given}” is not a colour. Write it like #9cab86, seagreen, or rgb(156 171 134).`;
  return colours.length > 4 ? "A value has at most four colours. Remove some." : undefined;
}

/** The colours in one cell; undefined if one of them is invalid. A whole CSS function is one colour. */
function splitColours(text: string): string[] | undefined {
  if (text === "") return [];
  const whole = readColour(text);
  if (whole) return [whole];
  const parts = text.match(/[a-z]+\([^)]*\)|#[0-9a-f]+|[a-z]+/gi) ?? [];
  const colours = parts.map(readColour);
  return parts.length === 0 || colours.some((colour) => colour === undefined) ? undefined : (colours as string[]);
}

type Token = Record<string, unknown>;

/** Writes swatches as design tokens. Source: Design Tokens Community Group, Format and Color modules (2025.10): colour values in sRGB. */
export function writeTokens(lines: readonly SwatchLine[]): Token {
  const root: Token = {};
  for (const { field = "shared", name, entry } of lines) {
    if (!entry.colours) continue;
    const group = (root[tokenName(field)] as Token | undefined) ?? { $type: "color" };
    root[tokenName(field)] = group;
    const [only, ...others] = entry.colours;
    group[tokenName(name)] =
      only !== undefined && others.length === 0
        ? { $value: colourValue(only) }
        : Object.fromEntries(entry.colours.map((hex, i) => [String(i + 1), { $value: colourValue(hex) }]));
  }
  return root;
}

/**
 * Reads design tokens: groups are fields, and a token or a numbered group in them is a value. Anything else is
 * skipped.
 */
export function readTokens(root: unknown): SwatchLine[] {
  if (!isGroup(root)) return [];
  return Object.entries(root).flatMap(([field, group]) => {
    if (field.startsWith("$") || !isGroup(group)) return [];
    return Object.entries(group).flatMap(([name, token]): SwatchLine[] => {
      if (name.startsWith("$") || !isGroup(token)) return [];
      const values =
        "$value" in token
          ? [token.$value]
          : Object.entries(token).flatMap(([, one]) => (isGroup(one) && "$value" in one ? [one.$value] : []));
      const colours = values.map(hexOf);
      if (colours.length === 0 || colours.some((colour) => colour === undefined)) return [];
      return [
        { ...(field === "shared" ? {} : { field }), name, entry: { colours: (colours as string[]).slice(0, 4) } },
      ];
    });
  });
}

/** Names of tokens must not begin with `$` nor hold `{`, `}` or `.`. Source: Format module, section 5.1. */
const tokenName = (name: string): string => name.replace(/^\$+/, "").replaceAll(/[{}.]/g, "-") || "-";

function colourValue(hex: string): Token {
  const byte = (at: number) => Number((Number.parseInt(hex.slice(at, at + 2), 16) / 255).toFixed(4));
  return { colorSpace: "srgb", components: [byte(1), byte(3), byte(5)], hex };
}

function hexOf(value: unknown): string | undefined {
  if (typeof value === "string") return readColour(value);
  if (!isGroup(value)) return undefined;
  if (typeof value.hex === "string") return readColour(value.hex);
  const { colorSpace, components } = value;
  if (typeof colorSpace !== "string" || !Array.isArray(components)) return undefined;
  const text = colorSpace === "srgb" ? `color(srgb ${components.join(" ")})` : `${colorSpace}(${components.join(" ")})`;
  return readColour(text);
}

const isGroup = (value: unknown): value is Token =>
  typeof value === "object" && value !== null && !Array.isArray(value);
