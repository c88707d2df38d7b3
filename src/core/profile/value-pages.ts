import { fieldKey } from "../catalogue/field.ts";
import type { FieldRole } from "../catalogue/field-names.ts";
import type { Field } from "../catalogue/field-schema.ts";
import { pathSeparator } from "../catalogue/path.ts";
import type { Option } from "../engine/index/option-schema.ts";
import type { PageKind } from "./page-kinds.ts";

/** Data of a catalogue for its pages. */
export interface PageFacts {
  fields: readonly Field[];
  /** A field's options in the catalogue's order; each level of a path is one, parents before children. */
  optionsOf(field: string): readonly Option[];
}

/** A page for a value of the catalogue. */
export interface ValuePage {
  address: string;
  kind: PageKind;
  field: string;
  /** The value's identity. */
  id: string;
  /** Its name; for a path, its last level. */
  label: string;
}

/** The kinds of pages that exist for every value of a field. */
const byRole: readonly [kind: PageKind, role: FieldRole, folder: string][] = [
  ["category", "category", "/categories"],
  ["brand", "brand", "/brands"],
  ["tag", "tags", "/tags"],
];

/** Distinct slugs for texts. */
export function slugsOf(texts: readonly string[]): string[] {
  const taken = new Set<string>();
  return texts.map((text) => {
    const slug = fieldKey(text, taken);
    taken.add(slug);
    return slug;
  });
}

const known = new WeakMap<PageFacts, readonly ValuePage[]>();

/** Every page for a value of the catalogue; computed once per catalogue. */
export function valuePages(facts: PageFacts): readonly ValuePage[] {
  const pages = known.get(facts) ?? makeValuePages(facts);
  known.set(facts, pages);
  return pages;
}

function makeValuePages(facts: PageFacts): ValuePage[] {
  return byRole.flatMap(([kind, role, folder]) => {
    const field = facts.fields.find((one) => one.role === role);
    if (!field) return [];
    const addresses = new Map<string, string>();
    const taken = new Map<string, Set<string>>();
    return facts.optionsOf(field.key).map(({ id, label }): ValuePage => {
      const levels = id.split(pathSeparator);
      const above = addresses.get(levels.slice(0, -1).join(pathSeparator)) ?? folder;
      const name = label.split(pathSeparator).at(-1) ?? label;
      const siblings = taken.get(above) ?? new Set<string>();
      taken.set(above, siblings);
      const slug = fieldKey(name, siblings);
      siblings.add(slug);
      const address = `${above}/${slug}`;
      addresses.set(id, address);
      return { address, kind, field: field.key, id, label: name };
    });
  });
}
