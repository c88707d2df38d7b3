import { distance } from "fastest-levenshtein";
import { isNested, isNumeric } from "../catalogue/field-kinds.ts";
import { identity } from "../catalogue/identity.ts";
import { type DisplayName, displays } from "../displays/displays.ts";
import { edited } from "../document/edit.ts";
import { words } from "../engine/index/words.ts";
import { forgetValues } from "../panel/option-edit.ts";
import { isFacet, rulesOf } from "../panel/panel.ts";
import type { FacetRow, PanelDocument, Row } from "../panel/panel-schema.ts";
import { suggestFacet } from "../panel/suggest/suggest.ts";
import type { FieldProfile } from "../profile/profile.ts";

/** A field of the receiving shop: its profile, and the identities of its values. */
export interface CarryTarget {
  profile: FieldProfile;
  values: ReadonlySet<string>;
}

/** The probable field here of a facet from a different shop's panel. */
export interface CarryMatch {
  row: string;
  /** The facet's field there. */
  field: string;
  title: string;
  /** Key of the field here; undefined if none is similar. */
  to: string | undefined;
  /** From 0 to 1; 1 if name, kind and values all agree. */
  confidence: number;
  /** Why, each in a few words. */
  reasons: string[];
}

/** Below this confidence a match does more harm than good. Tried on two made-up shops; no source. */
const least = 0.5;

/** Similarity of two names, from 0 to 1: the same words, or nearly the same letters. */
function nameLikeness(a: string, b: string): number {
  const [one, other] = [identity(a.replaceAll(/[-_]/g, " ")), identity(b.replaceAll(/[-_]/g, " "))];
  if (one === other) return 1;
  const [left, right] = [new Set(words(one)), new Set(words(other))];
  const shared = [...left].filter((word) => right.has(word)).length;
  const letters = 1 - distance(one, other) / Math.max(one.length, other.length, 1);
  return Math.max(shared / Math.max(left.size, right.size, 1), letters > 0.7 ? letters : 0);
}

/** The values named in a facet: picked ones, merged ones, those with labels. */
function namedValues(row: FacetRow): string[] {
  const { picked, labels, merges, byHand } = rulesOf(row);
  return [
    ...new Set([
      ...picked.map(({ id }) => id),
      ...Object.keys(labels),
      ...merges.flatMap(({ values }) => values.map(({ id }) => id)),
      ...byHand,
    ]),
  ];
}

/** Whether a field supports a facet's mode. */
const carries = ({ mode }: FacetRow, { field }: FieldProfile): boolean =>
  mode === "range" ? isNumeric(field) : mode === "tree" ? isNested(field) : true;

function likeness(row: FacetRow, { profile, values }: CarryTarget): { confidence: number; reasons: string[] } {
  const { field } = profile;
  if (!carries(row, profile)) return { confidence: 0, reasons: [] };
  const reasons: string[] = [];
  const names = [row.field, row.label].filter(Boolean);
  const name = Math.max(...names.flatMap((own) => [nameLikeness(own, field.name), nameLikeness(own, field.key)]));
  if (name === 1) reasons.push("the same name");
  else if (name > 0.5) reasons.push(`a name like “${field.name}”`);
  const named = namedValues(row);
  const found = named.filter((id) => values.has(id)).length;
  const share = named.length === 0 ? undefined : found / named.length;
  if (share !== undefined) reasons.push(`${found} of ${named.length} named values`);
  if (row.mode === "range") reasons.push("numbers");
  if (row.mode === "tree") reasons.push("categories");
  // The name counts most; if values are named, they count as much. Common practice, no source.
  const confidence = share === undefined ? name : name === 1 ? 0.6 + 0.4 * share : 0.5 * name + 0.5 * share;
  return { confidence, reasons };
}

/** For each facet of a panel the most similar field here, most confident first; each field is used once. */
export function matchFacets(panel: PanelDocument, targets: readonly CarryTarget[]): CarryMatch[] {
  const rows = panel.rows.filter(isFacet);
  const pairs = rows
    .flatMap((row) => targets.map((target) => ({ row, target, ...likeness(row, target) })))
    .filter(({ confidence }) => confidence >= least)
    .sort((a, b) => b.confidence - a.confidence);
  const matched = new Map<string, (typeof pairs)[number]>();
  const taken = new Map<string, string>();
  for (const pair of pairs) {
    const key = pair.target.profile.field.key;
    // Two rows over one field remain two rows over one field.
    const owner = taken.get(key);
    if (matched.has(pair.row.id) || (owner !== undefined && owner !== pair.row.field)) continue;
    matched.set(pair.row.id, pair);
    taken.set(key, pair.row.field);
  }
  return rows.map((row): CarryMatch => {
    const found = matched.get(row.id);
    return {
      row: row.id,
      field: row.field,
      title: row.label || row.field,
      to: found?.target.profile.field.key,
      confidence: found?.confidence ?? 0,
      reasons: found?.reasons ?? [],
    };
  });
}

/** A panel from another shop, adapted. */
export interface ImportedPanel {
  document: PanelDocument;
  /** Sentences about everything that was left out. */
  left: string[];
}

/**
 * A panel adapted to another shop: each facet over its matched field, without values that no product states here;
 * facets without a field are left out, and so is a look of the other shop.
 * @param to field key by row
 * @returns the document, and what was left out, in words
 */
export function importPanel(
  panel: PanelDocument,
  to: ReadonlyMap<string, string>,
  targetOf: (field: string) => CarryTarget | undefined,
): ImportedPanel {
  const left: string[] = [];
  const { look, ...rest } = panel;
  if (look !== undefined) left.push(`The look “${look}”: this shop’s look is used instead.`);
  const rows: Row[] = [];
  const gone = new Map<string, ReadonlySet<string>>();
  for (const row of panel.rows) {
    if (!isFacet(row)) {
      rows.push(row);
      continue;
    }
    const title = row.label || row.field;
    const target = targetOf(to.get(row.id) ?? "");
    if (!target || !carries(row, target.profile)) {
      left.push(`${title}: no similar field.`);
      continue;
    }
    const { style, ...own } = row;
    if (style !== undefined) left.push(`${title}: the option style “${style}” doesn’t exist here.`);
    const next: FacetRow = { ...own, field: target.profile.field.key, display: fitted(row, target.profile) };
    if (next.display !== row.display) left.push(`${title}: its display doesn’t suit this field.`);
    const missing = namedValues(next).filter((id) => !target.values.has(id));
    if (missing.length > 0) {
      gone.set(row.id, new Set(missing));
      left.push(`${title}: ${missing.length} ${missing.length === 1 ? "value" : "values"} that no product has here.`);
    }
    rows.push(next);
  }
  const forgotten = [...gone].map(([id, values]) => forgetValues({ id, title: "" }, values));
  return { document: edited<PanelDocument>({ ...rest, rows }, ...forgotten), left };
}

/** A row's displays, with unsuitable ones replaced; the same object if all suit the field. */
function fitted({ display, mode }: FacetRow, profile: FieldProfile): FacetRow["display"] {
  const suits = (name: DisplayName | undefined) => name === undefined || displays[name].unsuited(profile) === undefined;
  if (Object.values(display).every(suits)) return display;
  const suggested = suggestFacet(profile).display;
  const wide = suits(display.wide) || !displays[suggested].modes.includes(mode) ? display.wide : suggested;
  return {
    wide,
    ...(display.medium && suits(display.medium) ? { medium: display.medium } : {}),
    ...(display.slim && suits(display.slim) ? { slim: display.slim } : {}),
  };
}
