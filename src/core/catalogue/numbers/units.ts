import { asciiDigits, type DecimalMark, isNumberWith, plainNumber } from "./plain-number.ts";

/** Numbers with a unit behind them, such as `40 cm` or `1,5 l`. */
export interface UnitFinding {
  /** The most frequent unit. */
  unit: string;
  /** Number of values with some unit, and of all values. */
  matching: number;
  outOf: number;
  /** All units found, the most frequent first. */
  units: string[];
  /** Whether numbers have decimals. */
  fractions: boolean;
  /** The decimal mark of most numbers. */
  decimal: DecimalMark;
}

const measure = /^([+-]?[\d.,'’]*\d)\s*([\p{L}°"'%µ][\p{L}\d²³/]*)\.?$/u;

interface Measure {
  number: number;
  unit: string;
}

/**
 * The decimal mark of a number on its own: the last of two different marks, and a comma or a point unless exactly three
 * digits follow, which it then groups: `1,5` is one and a half, `1,500` is fifteen hundred, as is `1,500.0`.
 */
function markOf(number: string): DecimalMark {
  const [comma, point] = [number.lastIndexOf(","), number.lastIndexOf(".")];
  if (comma < 0 || point > comma) return ".";
  if (point >= 0) return ",";
  return isNumberWith(number, ".") && !/^[+-]?0/.test(number) ? "." : ",";
}

/**
 * A value as number and unit, or undefined.
 * @param decimal the column's decimal mark; by default the one that the number itself shows
 */
export function parseMeasure(text: string, decimal?: DecimalMark): Measure | undefined {
  const found = readMeasure(text, decimal);
  return found && { number: found.number, unit: found.unit };
}

/** {@link parseMeasure}, with the decimal mark by which it was read. */
function readMeasure(text: string, decimal?: DecimalMark): (Measure & { mark: DecimalMark }) | undefined {
  const [, digits, unit] = measure.exec(asciiDigits(text.trim())) ?? [];
  if (digits === undefined || unit === undefined) return undefined;
  const mark = decimal ?? markOf(digits);
  const number = Number(plainNumber(digits, mark));
  return Number.isNaN(number) ? undefined : { number, unit: unit.toLowerCase(), mark };
}

/** Checks whether most of a field's values are numbers with units; undefined if fewer than four in five are. */
export function findUnits(values: readonly string[]): UnitFinding | undefined {
  const uses = new Map<string, number>();
  const marks = { ".": 0, ",": 0 };
  for (const value of values) {
    const found = readMeasure(value);
    if (!found) continue;
    uses.set(found.unit, (uses.get(found.unit) ?? 0) + 1);
    if (!Number.isInteger(found.number)) marks[found.mark]++;
  }
  const matching = [...uses.values()].reduce((sum, count) => sum + count, 0);
  if (values.length < 2 || matching * 5 < values.length * 4) return undefined;
  const units = [...uses].sort((a, b) => b[1] - a[1]).map(([unit]) => unit);
  const [unit] = units;
  const fractions = marks[","] + marks["."] > 0;
  const decimal = marks[","] > marks["."] ? "," : ".";
  return unit === undefined ? undefined : { unit, units, matching, outOf: values.length, fractions, decimal };
}

/**
 * Units of one quantity per line, each as a multiple of the first. SI prefixes and, for volume, the litre. Source: SI
 * Brochure, 9th edition, tables 7 and 8.
 */
const scales: Record<string, number>[] = [
  { mm: 0.001, cm: 0.01, dm: 0.1, m: 1, km: 1000 },
  { ml: 0.001, cl: 0.01, dl: 0.1, l: 1 },
  { mg: 0.000_001, g: 0.001, kg: 1, t: 1000 },
];

/**
 * Converts a value with a unit to a plain number in another unit of the same quantity, as text; undefined if it has
 * none.
 * @param decimal the column's decimal mark; by default the one that the number itself shows
 */
export function convertMeasure(text: string, unit: string, decimal?: DecimalMark): string | undefined {
  const measure = parseMeasure(text, decimal);
  if (!measure) return undefined;
  if (measure.unit === unit) return String(measure.number);
  const scale = scales.find((one) => Object.hasOwn(one, unit) && Object.hasOwn(one, measure.unit));
  return scale
    ? String(Number(((measure.number * (scale[measure.unit] ?? 0)) / (scale[unit] ?? 0)).toPrecision(12)))
    : undefined;
}

/** Further units that headings name, as they are shown. */
const shown: Readonly<Record<string, string>> = {
  ...{ "°c": "°C", "°f": "°F", w: "W", kw: "kW", kwh: "kWh", v: "V", hz: "Hz", lm: "lm", kcal: "kcal", kj: "kJ" },
  ...{ lb: "lb", lbs: "lb", oz: "oz", ft: "ft", in: "in", mi: "mi", s: "s", sec: "s", h: "h", hrs: "h" },
  ...{ mph: "mph", "km/h": "km/h", kmh: "km/h", mpg: "mpg", hp: "hp", ps: "PS", rpm: "rpm", cc: "cc" },
  ...{ "cm³": "cm³", cm3: "cm³", "m³": "m³", m3: "m³", "cm²": "cm²", cm2: "cm²", "m²": "m²", m2: "m²" },
  ...{ ah: "Ah", mah: "mAh", mb: "MB", gb: "GB", tb: "TB", px: "px", db: "dB", bar: "bar", psi: "psi", "%": "%" },
};
const known: ReadonlySet<string> = new Set([...Object.keys(shown), ...scales.flatMap((scale) => Object.keys(scale))]);

/** Units that are other words or abbreviations, too, so that they count in brackets only. */
const inBrackets: ReadonlySet<string> = new Set(["in", "mi", "ps", "bar", "s", "sec", "h", "cc", "mb"]);

/** Words for quantities by their unit of one letter, which alone may be anything after `_` or as a capital. Common practice, no source. */
const quantities: Readonly<Record<string, RegExp>> = {
  g: /mass|weight|gewicht|poids|peso/i,
  m: /height|length|width|depth|altitude|elevation|distance|höhe|länge|breite|tiefe/i,
  l: /volume|capacity|inhalt|volumen|contenance/i,
  w: /power|leistung|watt|puissance/i,
};

/** Words of headings whose numbers are for each of a unit, and not in it. Common practice, no source. */
const perUnit =
  /(?:^|[^\p{L}])(?:per|pro|par|por|je|price|preis|prix|precio|prezzo|prijs|cost|costs|kosten)(?:[^\p{L}]|$)/iu;

/**
 * A heading that ends with the unit of its numbers, such as “Length (mm)”, “Gewicht [kg]”, “height in cm”,
 * `weight_kg` or `body_mass_g`: its name and the unit; undefined for any other.
 */
export function headingUnit(heading: string): { name: string; unit: string } | undefined {
  const text = heading.trim();
  const before = (mark: string, from = 0): [name: string, unit: string] => {
    const at = text.lastIndexOf(mark);
    return at > 0 ? [text.slice(0, at).trim(), text.slice(at + mark.length, text.length - from).trim()] : ["", ""];
  };
  const isBracketed = /[)\]]$/.test(text);
  const [name, unit] = isBracketed
    ? before(text.endsWith(")") ? "(" : "[", 1)
    : before(text.includes(" in ") ? " in " : "_");
  const plain = unit.toLowerCase();
  if (name === "" || !known.has(plain) || perUnit.test(name)) return undefined;
  if (!isBracketed && inBrackets.has(plain)) return undefined;
  // A capital may be a size, as in “Chest (M)”.
  const isVague = text.endsWith(`_${unit}`) || /^[A-UX-Z]$/.test(unit);
  if (plain.length === 1 && isVague && !quantities[plain]?.test(name)) return undefined;
  return { name, unit: shown[plain] ?? plain };
}

/** Whether all of some units can be converted to one of them. */
export const areConvertible = (units: readonly string[]): boolean =>
  units.length === 1 || scales.some((scale) => units.every((unit) => Object.hasOwn(scale, unit)));
