/** Numbers with a unit behind them, such as `40 cm` or `1,5 l`. */
export interface UnitFinding {
  /** The most frequent unit. */
  unit: string;
  /** Number of values with some unit, and of all values. */
  matching: number;
  outOf: number;
  /** All units found, the most frequent first. */
  units: string[];
}

const measure = /^([+-]?\d+(?:[.,]\d+)?)\s*([\p{L}°"'%µ][\p{L}\d²³/]*)\.?$/u;

/** A value as number and unit, or undefined; a comma is taken for a decimal mark. */
export function parseMeasure(text: string): { number: number; unit: string } | undefined {
  const [, number, unit] = measure.exec(text.trim()) ?? [];
  if (number === undefined || unit === undefined) return undefined;
  return { number: Number(number.replace(",", ".")), unit: unit.toLowerCase() };
}

/** Checks whether most of a field's values are numbers with units; undefined if fewer than four in five are. */
export function findUnits(values: readonly string[]): UnitFinding | undefined {
  const uses = new Map<string, number>();
  for (const value of values) {
    const unit = parseMeasure(value)?.unit;
    if (unit) uses.set(unit, (uses.get(unit) ?? 0) + 1);
  }
  const matching = [...uses.values()].reduce((sum, count) => sum + count, 0);
  if (values.length < 2 || matching * 5 < values.length * 4) return undefined;
  const units = [...uses].sort((a, b) => b[1] - a[1]).map(([unit]) => unit);
  const [unit] = units;
  return unit === undefined ? undefined : { unit, units, matching, outOf: values.length };
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
 */
export function convertMeasure(text: string, unit: string): string | undefined {
  const measure = parseMeasure(text);
  if (!measure) return undefined;
  if (measure.unit === unit) return String(measure.number);
  const scale = scales.find((one) => Object.hasOwn(one, unit) && Object.hasOwn(one, measure.unit));
  return scale
    ? String(Number(((measure.number * (scale[measure.unit] ?? 0)) / (scale[unit] ?? 0)).toPrecision(12)))
    : undefined;
}

/** Whether all of some units can be converted to one of them. */
export const areConvertible = (units: readonly string[]): boolean =>
  units.length === 1 || scales.some((scale) => units.every((unit) => Object.hasOwn(scale, unit)));
