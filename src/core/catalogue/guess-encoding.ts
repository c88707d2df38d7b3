import chardet from "chardet";
import { decodeAs, markedEncoding } from "./decode-as.ts";
import { type Encoding, isEncoding } from "./encoding-titles.ts";

/**
 * The encoding that files without a mark usually have where a language is spoken; Windows-1252 for all others. Source:
 * HTML Living Standard, “Determining the character encoding”, with the Windows code page for the ISO ones, since
 * spreadsheets write that.
 */
const usualEncodings: readonly [Encoding, readonly string[]][] = [
  ["windows-1250", ["cs", "hr", "hu", "pl", "sk", "sl"]],
  ["windows-1251", ["ba", "be", "bg", "kk", "ky", "mk", "ru", "sah", "sr", "tg", "tt", "uk"]],
  ["windows-1253", ["el"]],
  ["windows-1254", ["az", "ku", "tr"]],
  ["windows-1255", ["he"]],
  ["windows-1256", ["ar", "fa"]],
  ["windows-1257", ["et", "lt", "lv"]],
  ["windows-1258", ["vi"]],
  ["windows-874", ["th"]],
  ["shift_jis", ["ja"]],
  ["euc-kr", ["ko"]],
  ["big5", ["zh-TW", "zh-HK", "zh-MO", "zh-Hant"]],
  ["gb18030", ["zh"]],
];

/** ISO names of the statistics whose Windows code page has the same letters and more. */
const windowsPages: Readonly<Record<string, Encoding>> = {
  "iso-8859-1": "windows-1252",
  "iso-8859-2": "windows-1250",
  "iso-8859-6": "windows-1256",
  "iso-8859-7": "windows-1253",
  "iso-8859-8": "windows-1255",
  "iso-8859-9": "windows-1254",
};

/** Length of the sample, in bytes. */
const sampleLength = 60_000;
/** The weight of the language's usual encoding, in points of the statistics' confidence (0 to 100). */
const usualPoints = 25;
/** The weight of misread words: points if all are. */
const misreadPoints = 200;

/**
 * The likely encoding of a text that is not UTF-8: by its mark, the statistics of its letters, the designer's language,
 * and words that no language writes. A guess, to be shown with {@link oddWords} and changed.
 * @param language of the browser, as a BCP 47 tag
 */
export function guessEncoding(bytes: Uint8Array, language: string): Encoding {
  const marked = markedEncoding(bytes);
  if (marked) return marked;
  const sample = oddLines(bytes);
  const usual = usualEncoding(language);
  const points = new Map<Encoding, number>([
    [usual, usualPoints],
    ["macintosh", 0],
  ]);
  for (const { name, confidence } of chardet.analyse(sample)) {
    const label = name.toLowerCase();
    const encoding = windowsPages[label] ?? label;
    if (isEncoding(encoding) && !encoding.startsWith("utf-16"))
      points.set(encoding, Math.max(points.get(encoding) ?? 0, confidence + (encoding === usual ? usualPoints : 0)));
  }
  const scores = [...points].map(([encoding, own]) => ({
    encoding,
    score: own - misreadPoints * misreadShare(decodeAs(sample, encoding, false)),
  }));
  return scores.reduce((best, one) => (one.score > best.score ? one : best)).encoding;
}

/** Different words with a letter beyond ASCII, in order: what shows whether an encoding is right. @param most how many */
export function oddWords(text: string, most: number): string[] {
  const words = new Set<string>();
  for (const [word] of text.matchAll(/[^\s"|;,]+/g)) {
    if (isOdd(word) && /\p{L}/u.test(word)) words.add(word.slice(0, 40));
    if (words.size === most) break;
  }
  return [...words];
}

/** Whether a text has a character beyond ASCII. */
const isOdd = (text: string): boolean => /[^\0-\x7f]/.test(text);

function usualEncoding(language: string): Encoding {
  const speaks = (tag: string) => language === tag || language.startsWith(`${tag}-`);
  return usualEncodings.find(([, tags]) => tags.some(speaks))?.[0] ?? "windows-1252";
}

/** The lines with bytes beyond ASCII, up to {@link sampleLength}: the others say nothing about the encoding. */
function oddLines(bytes: Uint8Array): Uint8Array {
  const sample = new Uint8Array(sampleLength);
  let length = 0;
  for (let start = 0; start < bytes.length && length < sampleLength; ) {
    const found = bytes.indexOf(10, start);
    const line = bytes.subarray(start, found < 0 ? bytes.length : found + 1);
    if (line.some((byte) => byte > 127)) {
      const part = line.subarray(0, sampleLength - length);
      sample.set(part, length);
      length += part.length;
    }
    start += line.length;
  }
  return sample.subarray(0, length);
}

/**
 * Share of the words with characters beyond ASCII that no language writes: with a control character, a sign between
 * letters or one that never begins or ends a word, half-width katakana in a Latin word, or a capital after a small letter.
 */
function misreadShare(text: string): number {
  const words = [...text.matchAll(/[^\s"|;,./()-]+/g)].map(([word]) => word).filter(isOdd);
  return words.length === 0 ? 0 : words.filter((word) => misread.some((sign) => sign.test(word))).length / words.length;
}

const misread = [
  /[\x80-\x9f\ufffd]/,
  /\p{L}[^\p{L}\p{M}\p{N}\0-\x7f’·]\p{L}/u,
  /\p{L}[§¶¸¦¬¤¨¯´¿¡×÷¹¼½¾±]/u,
  /[§¶¸¦¬¤¨¯´¹²³¼½¾±]\p{L}/u,
  /[a-z][\uff61-\uff9f]/,
  /\p{Ll}(?![A-Z])\p{Lu}/u,
];
