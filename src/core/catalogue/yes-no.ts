/** Words for yes and for no, by their identities. Common practice, no source; en, de, fr, es, it, nl, pt. */
export const yesWords = [
  "yes",
  "true",
  "y",
  "ja",
  "wahr",
  "oui",
  "vrai",
  "sí",
  "si",
  "sì",
  "vero",
  "waar",
  "sim",
] as const;
export const noWords = ["no", "false", "n", "nein", "falsch", "non", "faux", "falso", "nee", "onwaar", "não"] as const;

/** The values for which a switch is on; “1” and “on” only if no other value qualifies. */
export const affirmative: ReadonlySet<string> = new Set([...yesWords, "1", "on", "in stock"]);
const either: ReadonlySet<string> = new Set([...yesWords, ...noWords]);

/** Whether a value says yes or no, by its identity. */
export const isYesOrNo = (id: string): boolean => either.has(id);
