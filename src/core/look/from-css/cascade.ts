import { is } from "css-select";
import type { Element } from "domhandler";
import { type Found, type Sheet, type SheetRule, sheetRules } from "./sheets.ts";
import { type Variables, withVariables } from "./values.ts";

/** The computed value of a property on an element, and the declaration it comes from. */
export interface Computed {
  /** With variables put in. */
  value: string;
  from: Found;
}

const inherited = new Set([
  "color",
  "font-family",
  "font-size",
  "font-weight",
  "line-height",
  "letter-spacing",
  "text-transform",
]);
/** Pseudo-elements, and states that don't apply to a page at rest. */
const notAtRest =
  /::|:(?:before|after|first-l|hover|focus|active|disabled|checked|invalid|valid|target|visited|placeholder|-webkit|-moz|-ms|host|open|popover|autofill|user-|indeterminate|read-only|required|in-range|out-of-range|empty|fullscreen)/;

/** Style sheets, queried for the styles of elements. */
export class Cascade {
  readonly rules: readonly SheetRule[];
  #matched = new WeakMap<Element, Found[]>();
  #variables = new WeakMap<Element, Map<string, string>>();
  /** Selectors that the matcher doesn't support, skipped after the first try. */
  #odd = new Set<string>();

  /** @throws SheetFault */
  constructor(sheets: readonly Sheet[]) {
    this.rules = sheetRules(sheets);
  }

  matches(element: Element, selector: string): boolean {
    if (this.#odd.has(selector)) return false;
    try {
      return is(element, selector);
    } catch {
      this.#odd.add(selector);
      return false;
    }
  }

  /** All declarations for an element at rest, lowest precedence first. */
  declarationsOf(element: Element): readonly Found[] {
    const known = this.#matched.get(element);
    if (known) return known;
    const found = this.rules
      .filter(
        ({ selector, state }) => state === undefined && !notAtRest.test(selector) && this.matches(element, selector),
      )
      .flatMap(({ declarations }) => declarations)
      .sort(byStrength);
    this.#matched.set(element, found);
    return found;
  }

  /** The custom properties in effect on an element. */
  variablesOf(element: Element): Variables {
    const known = this.#variables.get(element);
    if (known) return known;
    const above = parentOf(element);
    const own = new Map(above ? this.variablesOf(above) : []);
    for (const { property, value } of this.declarationsOf(element))
      if (property.startsWith("--")) own.set(property, value);
    this.#variables.set(element, own);
    return own;
  }

  /** The winning value of some properties on an element. */
  computed(element: Element, ...properties: readonly string[]): Computed | undefined {
    const variables = this.variablesOf(element);
    for (const from of [...this.declarationsOf(element)].reverse()) {
      if (!properties.includes(from.property)) continue;
      const value = withVariables(from.value, variables);
      if (value === undefined || /^(?:unset|revert|revert-layer)$/.test(value)) continue;
      if (value === "inherit") break;
      return { value, from };
    }
    const above = parentOf(element);
    return above && properties.some((property) => inherited.has(property))
      ? this.computed(above, ...properties)
      : undefined;
  }
}

const byStrength = (a: Found, b: Found): number =>
  Number(a.important) - Number(b.important) || a.specificity - b.specificity || a.order - b.order;

const parentOf = ({ parent }: Element): Element | undefined =>
  parent && "name" in parent ? (parent as Element) : undefined;
