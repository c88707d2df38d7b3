import { parentOf } from "../catalogue/path.ts";
import type { Merge, Option } from "../engine/index/option-schema.ts";
import type { NamedValue, OptionRules } from "./panel-schema.ts";

/** Text in the panel's own language, and in others by BCP 47 tag. */
export interface OptionWords {
  text: string;
  others?: Record<string, string> | undefined;
}

/** The rules of an unedited facet. */
export const allOptions: OptionRules = { show: "all", picked: [], labels: {}, merges: [], byHand: [] };

/** The merges in the engine's form; undefined for none. */
export const engineMerges = ({ merges }: OptionRules): Merge[] | undefined =>
  merges.length === 0 ? undefined : merges.map(({ label, values }) => ({ label, values: values.map(({ id }) => id) }));

/** Whether an option is shown to shoppers. */
export function isShown({ show, picked, below }: OptionRules, id: string): boolean {
  if (below !== undefined && parentOf(id) !== below) return false;
  if (show === "all") return true;
  return picked.some((one) => one.id === id) === (show === "only");
}

/** Text in a language, by its whole tag, otherwise by its first part; the panel's own language if missing. */
export function wordsIn({ text, others = {} }: OptionWords, language: string): string {
  return others[language] ?? others[language.split("-")[0] ?? ""] ?? text;
}

/** The label of an option. */
export const labelOf = ({ labels }: OptionRules, { id, label }: Option, language: string): string =>
  (Object.hasOwn(labels, id) && labels[id] ? wordsIn(labels[id], language) : "") || label;

/** Values in a facet's rules that the catalogue no longer states. */
export function staleValues(
  { picked, merges, labels, byHand, below }: OptionRules,
  isStated: (id: string) => boolean,
): NamedValue[] {
  const merged = new Set(merges.map(({ label }) => label.toLowerCase()));
  const known = new Map<string, NamedValue>();
  for (const value of [...picked, ...merges.flatMap(({ values }) => values)]) known.set(value.id, value);
  for (const id of [...Object.keys(labels), ...byHand])
    if (!known.has(id)) known.set(id, { id, label: id, products: 0 });
  if (below && !known.has(below)) known.set(below, { id: below, label: below, products: 0 });
  return [...known.values()].filter(({ id }) => !merged.has(id) && !isStated(id));
}

/** The rules without some values. */
export function withoutValues(rules: OptionRules, gone: ReadonlySet<string>): OptionRules {
  const { below, ...others } = rules;
  const stay = <T extends { id: string }>(values: readonly T[]) => values.filter(({ id }) => !gone.has(id));
  return {
    ...others,
    ...(below === undefined || gone.has(below) ? {} : { below }),
    picked: stay(rules.picked),
    labels: Object.fromEntries(Object.entries(rules.labels).filter(([id]) => !gone.has(id))),
    merges: rules.merges
      .map((merge) => ({ ...merge, values: stay(merge.values) }))
      .filter(({ values }) => values.length > 0),
    byHand: rules.byHand.filter((id) => !gone.has(id)),
  };
}
