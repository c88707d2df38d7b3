/** Members that come first, where people look for them. */
const first = ["$schema", "format", "name", "kind", "piece", "id"];

const place = (key: string): number => (first.includes(key) ? first.indexOf(key) : first.length);

function inOrder(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(inOrder);
  if (typeof value !== "object" || value === null) return value;
  const entries = Object.entries(value).filter(([, one]) => one !== undefined);
  entries.sort(([a], [b]) => place(a) - place(b) || (a < b ? -1 : 1));
  return Object.fromEntries(entries.map(([key, one]) => [key, inOrder(one)]));
}

/** JSON in a fixed order of members, one value per line, so that diffs are readable. */
export const stableJson = (value: unknown): string => `${JSON.stringify(inOrder(value), null, 2)}\n`;
