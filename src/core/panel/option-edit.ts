import { identity } from "../catalogue/identity.ts";
import { combineEdits } from "../document/edit.ts";
import type { FacetAnswer } from "../engine/answer.ts";
import { settingOn } from "../settings/settings.ts";
import { facetEdit, type PanelEdit, setSetting } from "./edit.ts";
import { orderOptions } from "./option-order.ts";
import { allOptions, isShown, labelOf, withoutValues } from "./options.ts";
import { isFacet, rulesOf } from "./panel.ts";
import type { FacetRow, NamedValue, OptionRules } from "./panel-schema.ts";
import { freeId } from "./row-id.ts";

/**
 * An option for the designer: its identity, its label for shoppers and in the catalogue, and its number of products.
 */
export interface ListedOption extends NamedValue {
  original: string;
}

/** A facet's options for editing, in its order on the wide band, with their labels. */
export function listOptions(
  row: FacetRow,
  { options, counts }: Pick<FacetAnswer, "options" | "counts">,
): ListedOption[] {
  const rules = rulesOf(row);
  const named = options.map((option) => ({ ...option, label: labelOf(rules, option, "en") }));
  return orderOptions(named, counts.steady, settingOn(row.settings, "order", "wide"), rules.byHand).flatMap((o) => {
    const [option, original] = [named[o], options[o]?.label ?? ""];
    return option ? { id: option.id, label: option.label, original, products: counts.steady[o] ?? 0 } : [];
  });
}

/** The facet being edited, and its name in sentences. */
export interface OptionsOf {
  id: string;
  title: string;
}

const namedValue = ({ id, original, products }: ListedOption): NamedValue => ({ id, label: original, products });

/** Changes a facet's rules in place; empty rules are removed. Merged options are shared by all rows over the field. */
function rulesEdit({ id, title }: OptionsOf, what: string, change: (rules: OptionRules) => void): PanelEdit {
  return facetEdit(`${title}: ${what}`, id, (row, { rows }) => {
    row.options ??= structuredClone(allOptions);
    change(row.options);
    const { merges } = row.options;
    for (const one of rows.filter(isFacet)) {
      if (one.field !== row.field || one.id === row.id) continue;
      if (one.options) one.options.merges = copied(merges);
      else if (merges.length > 0) one.options = { ...structuredClone(allOptions), merges: copied(merges) };
      dropIfPlain(one);
    }
    dropIfPlain(row);
  });
}

/** A copy that is independent of the draft. */
const copied = (merges: OptionRules["merges"]): OptionRules["merges"] =>
  merges.map(({ label, values }) => ({ label, values: values.map((value) => ({ ...value })) }));

function dropIfPlain(row: FacetRow): void {
  if (!row.options) return;
  const { show, picked, labels, merges, byHand, below } = row.options;
  if (
    show === "all" &&
    below === undefined &&
    picked.length + Object.keys(labels).length + merges.length + byHand.length === 0
  )
    delete row.options;
}

/**
 * Splits a facet into two rows over its field: one with the given options, and after it one with the rest, collapsed.
 * Values added later belong to the second.
 * @param first some of the offered options
 */
export const splitFacet = (row: FacetRow, title: string, first: readonly NamedValue[]): PanelEdit => ({
  words: `Split ${title}: its ${first.length} most frequent options, the rest folded`,
  change: ({ rows }) => {
    const at = rows.findIndex(({ id }) => id === row.id);
    if (at < 0) return;
    const behind = (label: string) => `${label.slice(0, 198)} …`;
    const options = rulesOf(row);
    const short = structuredClone({ ...row, options });
    short.options.show = "only";
    short.options.picked = first.map(({ id, label, products }) => ({ id, label, products }));
    const rest = structuredClone({ ...row, options, id: freeId(rows, row.id), label: behind(title) });
    if (rest.labels)
      rest.labels = Object.fromEntries(Object.entries(rest.labels).map(([tag, label]) => [tag, behind(label)]));
    rest.settings.start = "folded";
    if (rest.options.show === "all") rest.options.show = "except";
    for (const value of first) setShown(rest.options, value, false);
    rows.splice(at, 1, short, rest);
  },
});

/**
 * Changes the rule for which options are shown. Visible options stay visible when the rule is inverted.
 * @param all all options of the facet
 */
export const setShow = (of: OptionsOf, show: OptionRules["show"], all: readonly ListedOption[]): PanelEdit =>
  rulesEdit(of, { all: "all options", only: "only picked options", except: "all options but some" }[show], (rules) => {
    rules.picked =
      show === "all" ? [] : all.filter(({ id }) => isShown(rules, id) === (show === "only")).map(namedValue);
    rules.show = show;
  });

/** Limits a tree to the branches of one category; empty for the top level, undefined for all levels. */
export const setBelow = (of: OptionsOf, below: string | undefined, words: string): PanelEdit =>
  rulesEdit(of, words, (rules) => {
    if (below === undefined) delete rules.below;
    else rules.below = below;
  });

/** Shows or hides an option; the rule itself stays. */
function setShown(rules: OptionRules, { id, label, products }: NamedValue, shown: boolean): void {
  rules.picked = rules.picked.filter((one) => one.id !== id);
  if (shown === (rules.show === "only")) rules.picked.push({ id, label, products });
}

/** Picks all options, none, or the given number of most frequent ones, where only picked ones are shown. */
export const pickOptions = (of: OptionsOf, which: "all" | "none" | number, all: readonly ListedOption[]): PanelEdit =>
  rulesEdit(
    of,
    which === "all" ? "pick all" : which === "none" ? "pick none" : `pick the ${which} most frequent`,
    (rules) => {
      const wanted =
        which === "all" ? all : which === "none" ? [] : all.toSorted((a, b) => b.products - a.products).slice(0, which);
      rules.show = "only";
      rules.picked = wanted.map(namedValue);
    },
  );

/** Shows or hides an option. Hiding the first of all options changes the rule to “all but”. */
export const showOption = (of: OptionsOf, option: ListedOption, shown: boolean): PanelEdit =>
  rulesEdit(of, `${shown ? "show" : "leave out"} ${option.label}`, (rules) => {
    if (rules.show === "all") rules.show = "except";
    setShown(rules, namedValue(option), shown);
    if (rules.picked.length === 0 && rules.show === "except") rules.show = "all";
  });

/** Sets an option's label, in the shop's own language or another; an empty text restores the catalogue's. */
export const renameOption = (of: OptionsOf, option: ListedOption, text: string, language?: string): PanelEdit =>
  rulesEdit(of, `rename ${option.original} to “${text.trim()}”`, ({ labels }) => {
    const words = labels[option.id] ?? { text: "" };
    if (language === undefined) words.text = text.trim();
    else {
      const { [language]: _old, ...others } = words.others ?? {};
      const next = text.trim() === "" ? others : { ...others, [language]: text.trim() };
      if (Object.keys(next).length > 0) words.others = next;
      else delete words.others;
    }
    if (words.text === "" && words.others === undefined) delete labels[option.id];
    else labels[option.id] = words;
  });

/** Merges several options under the first one's label. Options that are merged already bring their values. */
export const mergeOptions = (of: OptionsOf, options: readonly [ListedOption, ...ListedOption[]]): PanelEdit =>
  rulesEdit(of, `merge ${options.map(({ label }) => label).join(", ")}`, (rules) => {
    const values = options.flatMap(
      (option) => mergeFor(rules, option.id)?.values.map((value) => ({ ...value })) ?? [namedValue(option)],
    );
    const ids = new Set(options.map(({ id }) => id));
    const before = rules.merges.filter(({ label }) => ids.has(identity(label)));
    const apart = before.flatMap(({ left = [] }) => left);
    const left = values.filter(({ id }) => apart.includes(id) || !isShown(rules, id)).map(({ id }) => id);
    const label = options[0].label;
    rules.merges = [
      ...rules.merges.filter((merge) => !before.includes(merge)),
      { label, values, ...(left.length > 0 ? { left } : {}) },
    ];
    // The merged option is shown if one of its options was.
    if (options.some(({ id }) => isShown(rules, id)) && !isShown(rules, identity(label)))
      setShown(rules, { id: identity(label), label, products: options[0].products }, true);
  });

/** Splits a merged option into its values, each shown or hidden as it was before the merge. */
export const unmergeOption = (of: OptionsOf, option: ListedOption): PanelEdit =>
  rulesEdit(of, `unmerge ${option.label}`, (rules) => {
    const merge = mergeFor(rules, option.id);
    if (rules.show !== "all")
      for (const value of merge?.values ?? []) setShown(rules, value, !merge?.left?.includes(value.id));
    rules.merges = rules.merges.filter(({ label }) => identity(label) !== option.id);
  });

/** The merge behind an option; undefined for a plain one. */
export const mergeFor = ({ merges }: OptionRules, id: string): OptionRules["merges"][number] | undefined =>
  merges.find(({ label }) => identity(label) === id);

/**
 * Moves an option to another's position, and makes the facet use the order by hand.
 * @param all all options in their present order
 */
export function moveOption(of: OptionsOf, id: string, onto: string, all: readonly ListedOption[]): PanelEdit {
  return placeOptions(
    of,
    [id],
    all.findIndex((option) => option.id === onto),
    all,
  );
}

/**
 * Moves options to a position, keeping their order, and makes the facet use the order by hand.
 * @param to index of the first of them in the new order, clamped to the list
 * @param all all options in their present order
 */
export function placeOptions(
  of: OptionsOf,
  ids: readonly string[],
  to: number,
  all: readonly ListedOption[],
): PanelEdit {
  const moved = all.filter((option) => ids.includes(option.id));
  const rest = all.filter((option) => !ids.includes(option.id));
  const at = Math.max(0, Math.min(to, rest.length));
  const name = moved.length === 1 ? moved[0]?.label : `${moved.length} options`;
  const move = rulesEdit(of, `move ${name} to position ${at + 1}`, (rules) => {
    if (moved.length === 0 || to < 0) return;
    rules.byHand = [...rest.slice(0, at), ...moved, ...rest.slice(at)].map(({ id }) => id);
  });
  return combineEdits(move.words, [move, setSetting(of.id, "order", "hand", of.title)]);
}

/** Removes some values from the rules. */
export const forgetValues = (of: OptionsOf, gone: ReadonlySet<string>): PanelEdit =>
  rulesEdit(of, "remove settings of values that no longer exist", (rules) => {
    Object.assign(rules, withoutValues(rules, gone));
  });

/** Sets the labels of several options. */
export const relabelOptions = (of: OptionsOf, labels: Readonly<Record<string, string>>): PanelEdit =>
  rulesEdit(of, "readable names", (rules) => {
    for (const [id, text] of Object.entries(labels)) rules.labels[id] = { ...rules.labels[id], text };
  });
