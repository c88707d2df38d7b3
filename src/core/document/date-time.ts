/** Times as the tool shows them, like “1 Dec 2026, 14:05”. Source: CLDR, through Intl. */
export const dateTimeFormat = new Intl.DateTimeFormat("en-GB", { dateStyle: "medium", timeStyle: "short" });
