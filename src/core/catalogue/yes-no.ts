/**
 * Words for yes and for no, by their identities. Common practice, no source; en, de, fr, es, it, nl, pt, sv, da, pl, cs,
 * tr, ar, ja.
 */
export const yesWords = [
  ...[
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
    "verdadero",
    "verdadeiro",
  ],
  ...["tak", "ano", "evet", "نعم", "はい", "有り", "あり", "有"],
];
export const noWords = [
  ...["no", "false", "n", "nein", "falsch", "non", "faux", "falso", "nee", "onwaar", "não", "nej"],
  ...["nie", "ne", "hayır", "لا", "いいえ", "無し", "なし", "無"],
];

/** The values for which a switch is on; “1” and “on” only if no other value qualifies. */
export const affirmative: ReadonlySet<string> = new Set([...yesWords, "1", "on", "in stock"]);
const either: ReadonlySet<string> = new Set([...yesWords, ...noWords]);

/** Whether a value says yes or no, by its identity. */
export const isYesOrNo = (id: string): boolean => either.has(id);

/** A cell of a column that says yes or no: 1 and 0 in words; any other text unchanged. */
export const yesOrNoOf = (text: string): string => ({ "1": "yes", "0": "no" })[text.trim()] ?? text;
