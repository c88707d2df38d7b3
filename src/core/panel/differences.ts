import { displays } from "../displays/displays.ts";
import { differing, listDifferences, quoted, same, shortenedList } from "../document/differences.ts";
import { spokenToken } from "../look/edit.ts";
import { tokens } from "../look/tokens.ts";
import { banded } from "../settings/banded-words.ts";
import { type BehaviourName, behaviours } from "../settings/behaviour.ts";
import { behaviourDefinition } from "../settings/behaviour-definitions.ts";
import { type SettingDefinition, settingDefinition } from "../settings/setting-definitions.ts";
import { settingNames } from "../settings/settings.ts";
import { spoken, spokenValue } from "./edit.ts";
import { rulesOf } from "./panel.ts";
import type { FacetRow, PanelDocument, Row } from "./panel-schema.ts";
import { type PieceRow, pieceOf } from "./pieces.ts";

/** Lists the changes of a panel. @param nameOf a field as shoppers read it */
export function* panelDifferences(
  before: PanelDocument,
  after: PanelDocument,
  nameOf: (field: string) => string,
): Generator<string> {
  const title = (row: Row) => row.label || (row.kind === "facet" ? nameOf(row.field) : pieceOf(row.piece).label);
  if (before.name !== after.name) yield `was renamed from ${quoted(before.name)} to ${quoted(after.name)}`;
  if (!same(before.placement, after.placement))
    yield `is placed ${banded(after.placement, (one) => one)}, before: ${banded(before.placement, (one) => one)}`;
  if (before.look !== after.look)
    yield after.look === undefined ? "uses the shop’s look" : `uses the look ${quoted(after.look)}`;
  const [was, is] = [before.behaviour ?? {}, after.behaviour ?? {}];
  for (const name of behaviours.names)
    if (!same(was[name], is[name])) yield settingWords(behaviourDefinition(name as BehaviourName), was[name], is[name]);
  yield* listDifferences(
    before.rows,
    after.rows,
    ({ id }) => id,
    title,
    function* (old, now) {
      for (const words of rowDifferences(old, now)) yield `${title(old)}: ${words}`;
    },
  );
}

function rowDifferences(before: Row, after: Row): Iterable<string> {
  if (before.kind === "facet" && after.kind === "facet") return facetDifferences(before, after);
  if (before.kind === "piece" && after.kind === "piece") return pieceDifferences(before, after);
  return ["was replaced by another row"];
}

function* labelDifferences(before: Row, after: Row): Generator<string> {
  if (before.label !== after.label)
    yield after.label ? `has the label ${quoted(after.label)}` : "has its default label";
  for (const language of differing(before.labels ?? {}, after.labels ?? {})) {
    const now = after.labels?.[language];
    yield now === undefined ? `has no label in ${language}` : `has the label ${quoted(now)} in ${language}`;
  }
}

function* pieceDifferences(before: PieceRow, after: PieceRow): Generator<string> {
  yield* labelDifferences(before, after);
  const words: Readonly<Record<string, string>> = pieceOf(after.piece).differences ?? {};
  for (const key of differing(before, after)) {
    if (key === "label" || key === "labels") continue;
    const now = (after as Record<string, unknown>)[key];
    yield words[key] ?? `${key} is ${typeof now === "object" ? "different" : String(now)}`;
  }
}

function* facetDifferences(before: FacetRow, after: FacetRow): Generator<string> {
  yield* labelDifferences(before, after);
  const named = (name: keyof typeof displays) => displays[name].label.toLowerCase();
  if (before.field !== after.field) yield `uses the field ${quoted(after.field)}, before: ${quoted(before.field)}`;
  if (!same(before.display, after.display))
    yield `shows as ${banded(after.display, named)}, before: ${banded(before.display, named)}`;
  if (before.mode !== after.mode) yield `choices combine as ${after.mode}, before: ${before.mode}`;
  for (const name of settingNames)
    if (!same(before.settings[name], after.settings[name]))
      yield settingWords(settingDefinition(name), before.settings[name], after.settings[name], (value) =>
        spoken(name, value),
      );
  if (before.style !== after.style)
    yield after.style === undefined ? "has no option style" : `has the option style ${quoted(after.style)}`;
  for (const name of differing(before.look ?? {}, after.look ?? {})) {
    const token = tokens.get(name);
    const spokenName = token ? spokenToken(token) : name;
    yield after.look?.[name] === undefined
      ? `${quoted(spokenName)} follows the look again`
      : `${quoted(spokenName)} no longer follows the look`;
  }
  yield* optionDifferences(before, after);
}

function* optionDifferences(before: FacetRow, after: FacetRow): Generator<string> {
  const [was, is] = [rulesOf(before), rulesOf(after)];
  const shows = { all: "all options", only: "only picked options", except: "all options but some" };
  if (was.show !== is.show) yield `shows ${shows[is.show]}`;
  if (was.below !== is.below) yield `shows ${levels(is.below)}, before: ${levels(was.below)}`;
  const names = (rules: typeof was) => new Map(rules.picked.map(({ id, label }) => [id, label]));
  const [old, now] = [names(was), names(is)];
  const more = [...now].filter(([id]) => !old.has(id)).map(([, label]) => label);
  const less = [...old].filter(([id]) => !now.has(id)).map(([, label]) => label);
  if (more.length > 0) yield `${is.show === "except" ? "leaves out" : "picks"} ${shortenedList(more)}`;
  if (less.length > 0) yield `no longer ${was.show === "except" ? "leaves out" : "picks"} ${shortenedList(less)}`;
  const renamed = differing(was.labels, is.labels);
  if (renamed.length > 0) yield `has new labels for ${shortenedList(renamed)}`;
  if (!same(was.merges, is.merges)) {
    const merged = is.merges.filter((one) => !was.merges.some((other) => same(one, other)));
    yield merged.length > 0
      ? `merges options as ${shortenedList(merged.map(({ label }) => label))}`
      : "unmerges options";
  }
  if (!same(was.byHand, is.byHand))
    yield is.byHand.length > 0 ? "sorts its options by hand" : "no longer sorts its options by hand";
  // The number of products that a named value once had is not a visible difference.
}

/** A changed setting in words, by band if it differs by band. */
function settingWords(
  definition: SettingDefinition,
  before: unknown,
  after: unknown,
  say: (value: unknown) => string = (value) => spokenValue(definition, value),
): string {
  const words = (value: unknown): string => {
    if (value === undefined) return `${say(definition.fallback)} (default)`;
    return definition.banded && typeof value === "object" && value !== null && !Array.isArray(value)
      ? banded(value as Record<string, unknown>, say)
      : say(value);
  };
  return `${definition.label.toLowerCase()} is ${words(after)}, before: ${words(before)}`;
}

/** The levels of a tree that a facet shows. */
const levels = (below: string | undefined): string =>
  below === undefined ? "all levels" : below === "" ? "the top level only" : `only direct subcategories of “${below}”`;
