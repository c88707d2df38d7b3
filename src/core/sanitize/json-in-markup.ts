/**
 * A value as JSON for a script element: “<” is escaped, since it could close the element.
 * @param as a replacer for `JSON.stringify`
 */
export const jsonInMarkup = (value: unknown, as?: (key: string, value: unknown) => unknown): string =>
  JSON.stringify(value, as).replaceAll("<", "\\u003c");
