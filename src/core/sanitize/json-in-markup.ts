/**
 * A value as JSON that can stand in a script element: a “<” inside could close it; escaped, it is the same JSON.
 * @param as how values are written, as `JSON.stringify` takes it
 */
export const jsonInMarkup = (value: unknown, as?: (key: string, value: unknown) => unknown): string =>
  JSON.stringify(value, as).replaceAll("<", "\\u003c");
