/**
 * A question in a form that does not depend on the order in which choices were made, so that the same question has one
 * answer in caches: members by name, and chosen options by value. Anything that is not a question stays as it is, for
 * the schema to reject.
 */
export function canonicalQuestion(sent: unknown): unknown {
  if (!isRecord(sent) || !isRecord(sent.selection) || !isRecord(sent.selection.choices)) return sent;
  const choices = Object.entries(sent.selection.choices).map(([field, choice]) => [field, sorted(choice)] as const);
  const inOrder = choices.sort(([a], [b]) => (a < b ? -1 : 1));
  return byName({ ...sent, selection: { ...sent.selection, choices: Object.fromEntries(inOrder) } });
}

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === "object" && value !== null && !Array.isArray(value);

const sorted = (choice: unknown): unknown =>
  isRecord(choice) && areTexts(choice.options) ? { ...choice, options: [...choice.options].sort() } : choice;

const areTexts = (value: unknown): value is string[] =>
  Array.isArray(value) && value.every((one) => typeof one === "string");

/** Sorts the members of a record; those within it were written by one function and are in one order. */
const byName = (record: Record<string, unknown>): Record<string, unknown> =>
  Object.fromEntries(Object.entries(record).sort(([a], [b]) => (a < b ? -1 : 1)));
