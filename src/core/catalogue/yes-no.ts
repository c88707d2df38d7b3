/** Words for yes and for no, by their identities. Common practice, no source; en, de, fr, es, it, nl, pt. */
const yes = ["yes", "true", "y", "ja", "wahr", "oui", "vrai", "sí", "si", "sì", "vero", "waar", "sim"] as const;
const no = ["no", "false", "n", "nein", "falsch", "non", "faux", "falso", "nee", "onwaar", "não"] as const;

/** What a switch turned on stands for; “1” and “on” only where there is nothing else to be told by. */
export const affirmative: ReadonlySet<string> = new Set([...yes, "1", "on", "in stock"]);
const either: ReadonlySet<string> = new Set([...yes, ...no]);

/** Whether a value says yes or no, by its identity. */
export const isYesOrNo = (id: string): boolean => either.has(id);
