/** Numbers with a unit behind them, such as `40 cm` or `1,5 l`. */
export interface UnitFinding {
  /** The unit that most of them carry. */
  unit: string;
  /** How many of the values are numbers with some unit, and how many values there are. */
  matching: number;
  outOf: number;
  /** All units found, the most frequent first. */
  units: string[];
}

const measure = /^([+-]?\d+(?:[.,]\d+)?)\s*([\p{L}°"'%µ][\p{L}\d²³/]*)\.?$/u;

/** A value as number and unit, or undefined; a comma is taken for a decimal mark. */
export function parseMeasure(text: string): { number: number; unit: string } | undefined {
  const parts = measure.exec(text.trim());
  return parts ? { number: Number(parts[1].replace(",", ".")), unit: parts[2].toLowerCase() } : undefined;
}

/** Looks whether most of a field's values are numbers with units; undefined when fewer than four in five are. */
export function findUnits(values: readonly string[]): UnitFinding | undefined {
  const uses = new Map<string, number>();
  for (const value of values) {
    const unit = parseMeasure(value)?.unit;
    if (unit) uses.set(unit, (uses.get(unit) ?? 0) + 1);
  }
  const matching = [...uses.values()].reduce((sum, count) => sum + count, 0);
  if (values.length < 2 || matching * 5 < values.length * 4) return undefined;
  const units = [...uses].sort((a, b) => b[1] - a[1]).map(([unit]) => unit);
  return { unit: units[0], units, matching, outOf: values.length };
}
