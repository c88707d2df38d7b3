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

/** A field of the shop that a panel comes to: what is known of it, and the identities of its values. */
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
  /** Key of the field here; undefined if nothing is alike. */
  to: string | undefined;
  /** From 0 to 1: 1 where name, kind and values all say so. */
  confidence: number;
  /** Why, each in a few words. */
  reasons: string[];
}

/** Below this a match is a guess that does more harm than good. Tried on two made-up shops; no source. */
const least = 0.5;

/** How alike two names are, from 0 to 1: the same words, or nearly the same letters. */
function nameLikeness(a: string, b: string): number {
  const [one, other] = [identity(a.replaceAll(/[-_]/g, " ")), identity(b.replaceAll(/[-_]/g, " "))];
  if (one === other) return 1;
  const [left, right] = [new Set(words(one)), new Set(words(other))];
  const shared = [...left].filter((word) => right.has(word)).length;
  const letters = 1 - distance(one, other) / Math.max(one.length, other.length, 1);
  return Math.max(shared / Math.max(left.size, right.size, 1), letters > 0.7 ? letters : 0);
}

/** The values that a facet names: picked ones, merged ones, those with words of their own. */
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

/** Whether a field can carry the way in which a facet's choices combine. */
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
  // A name says most; where values are named they say as much. Common practice, no source.
  const confidence = share === undefined ? name : name === 1 ? 0.6 + 0.4 * share : 0.5 * name + 0.5 * share;
  return { confidence, reasons };
}

/** For each facet of a panel the field here that is most like its own, the surest first; a field is taken once. */
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
    // Two rows over one field stay two rows over one field.
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

/**
 * A panel as it is in another shop: each facet over the field that was chosen for it, without values that no product
 * states there; facets without a field are left out, and so is a look that is the other shop's own.
 * @param to by row, the field's key
 * @returns with the document, what did not come along, in words
 */
export function importPanel(
  panel: PanelDocument,
  to: ReadonlyMap<string, string>,
  targetOf: (field: string) => CarryTarget | undefined,
): { document: PanelDocument; left: string[] } {
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

/** A row's displays, with those replaced that a field does not suit; the same object where all suit. */
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
