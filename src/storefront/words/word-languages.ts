/** The languages that shoppers' words are there in. */
export const wordLanguages = ["en", "de", "fr", "es", "nl", "ar", "ja"] as const;
