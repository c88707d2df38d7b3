const rightToLeft = /^(?:ar|arc|ckb|dv|fa|he|ks|ps|sd|ug|ur|yi)\b/;

/** The writing direction of a language, by its BCP 47 tag. */
export const direction = (language: string): "rtl" | "ltr" => (rightToLeft.test(language) ? "rtl" : "ltr");
