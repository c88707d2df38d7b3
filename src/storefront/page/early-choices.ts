import type { Field } from "../../core/catalogue/field.ts";
import type { Facet, Selection } from "../../core/engine/question.ts";
import { choiceOf, withChoice } from "../../core/engine/selection.ts";
import { fromAddress, nameIn, namesOf, type QueryNames } from "../../core/page/browse-state/address.ts";

/**
 * A selection with changes made in the plain form before hydration. Only inputs that differ from their drawn state
 * count.
 */
export function withTouched(
  selection: Selection,
  form: HTMLFormElement,
  facets: readonly Facet[],
  fieldOf: (key: string) => Field | undefined,
  names: QueryNames = {},
): Selection {
  const touched = new Set([...form.elements].filter(isTouched).map((input) => input.getAttribute("name")));
  if (touched.size === 0) return selection;
  const sent = [...new FormData(form)].flatMap(([name, value]) => (typeof value === "string" ? [[name, value]] : []));
  const said = fromAddress(`?${new URLSearchParams(sent)}`, facets, fieldOf, names).selection;
  const text = touched.has(nameIn(names, "q")) ? said.text : selection.text;
  return facets
    .filter(({ field }) => namesOf(nameIn(names, field)).some((name) => touched.has(name)))
    .reduce((now, { field }) => withChoice(now, field, choiceOf(said, field)), { ...selection, text });
}

function isTouched(element: Element): boolean {
  if (element instanceof HTMLSelectElement)
    return [...element.options].some((one) => one.selected !== one.defaultSelected);
  if (!(element instanceof HTMLInputElement)) return false;
  return element.type === "checkbox" || element.type === "radio"
    ? element.checked !== element.defaultChecked
    : element.value !== element.defaultValue;
}
