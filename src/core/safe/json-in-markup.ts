/** A value as JSON that can stand in a script element: a “<” inside could close it; escaped, it is the same JSON. */
export const jsonInMarkup = (value: unknown): string => JSON.stringify(value).replaceAll("<", "\\u003c");
