const rightToLeft = /^(?:ar|arc|ckb|dv|fa|he|ks|ps|sd|ug|ur|yi)\b/;

/** In which direction a language is written, by its BCP 47 tag. */
export const direction = (language: string): "rtl" | "ltr" => (rightToLeft.test(language) ? "rtl" : "ltr");
