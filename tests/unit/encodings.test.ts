import { describe, expect, it } from "vitest";
import { decodeText, isUtf8 } from "../../src/core/catalogue/decode.ts";
import { decodeAs } from "../../src/core/catalogue/decode-as.ts";
import { type Encoding, encodingTitles, isEncoding } from "../../src/core/catalogue/encoding-titles.ts";
import { guessEncoding, oddWords } from "../../src/core/catalogue/guess-encoding.ts";

/** The bytes of each character, found by decoding all single bytes and pairs. */
function encoder(encoding: Encoding): (text: string) => Uint8Array | undefined {
  const bytes = new Map<string, number[]>();
  const add = (code: number[]) => {
    const [character = "", ...more] = decodeAs(new Uint8Array(code), encoding, false);
    if (more.length === 0 && character !== "\ufffd" && !bytes.has(character)) bytes.set(character, code);
  };
  const all = Array.from({ length: 256 }, (_, byte) => byte);
  for (const first of all) add([first]);
  for (const first of all.slice(128)) for (const second of all) add([first, second]);
  return (text) => {
    const codes = [...text].map((character) => bytes.get(character));
    return codes.every((code) => code !== undefined) ? new Uint8Array(codes.flat()) : undefined;
  };
}

const regions =
  "DE FR ES IT PT GB IE NL BE DK SE NO FI PL CZ SK HU AT CH GR TR RU UA RO BG HR SI EE LV LT JP CN KR TH VN IL EG BR MX US".split(
    " ",
  );

/** A product list of 40 rows in a language: names of countries. Source: CLDR, by `Intl.DisplayNames`. */
function listIn(language: string, encoding: Encoding): Uint8Array {
  const encode = encoder(encoding);
  const names = new Intl.DisplayNames(language, { type: "region" });
  const rows = regions.flatMap((code, n) => [...(encode(`${n};${names.of(code)};${n * 3}\r\n`) ?? [])]);
  return new Uint8Array([...new TextEncoder().encode("id;title;price\r\n"), ...rows]);
}

/** What people who speak a language have on their computers. Source: HTML Living Standard, its table of languages. */
const spoken: [string, Encoding][] = [
  ["de", "windows-1252"],
  ["fr", "windows-1252"],
  ["es", "windows-1252"],
  ["pt", "windows-1252"],
  ["sv", "windows-1252"],
  ["fi", "windows-1252"],
  ["is", "windows-1252"],
  ["pl", "windows-1250"],
  ["cs", "windows-1250"],
  ["hu", "windows-1250"],
  ["sl", "windows-1250"],
  ["ru", "windows-1251"],
  ["bg", "windows-1251"],
  ["uk", "windows-1251"],
  ["el", "windows-1253"],
  ["tr", "windows-1254"],
  ["he", "windows-1255"],
  ["ar", "windows-1256"],
  ["lt", "windows-1257"],
  ["et", "windows-1257"],
  ["th", "windows-874"],
  ["ja", "shift_jis"],
  ["ko", "euc-kr"],
  ["zh-CN", "gb18030"],
  ["zh-TW", "big5"],
];

describe("the encoding of a file that is not UTF-8", () => {
  it.each(spoken)("is guessed on a computer of the same language: %s", (language, encoding) => {
    const bytes = listIn(language, encoding);
    expect(isUtf8(bytes)).toBe(false);
    expect(guessEncoding(bytes, language)).toBe(encoding);
  });

  it("is guessed on an English computer for three quarters of them, since Latin letters look alike", () => {
    const right = spoken.filter(([language, code]) => guessEncoding(listIn(language, code), "en-GB") === code);
    expect(right.length).toBeGreaterThanOrEqual(19);
  });

  it("is UTF-16 by its mark", () => {
    const wide = (text: string) => new Uint8Array(new Uint16Array([...text].map((c) => c.charCodeAt(0))).buffer);
    const bytes = wide("\ufeffid,title\n1,Jäger\n");
    expect(guessEncoding(bytes, "de")).toBe("utf-16le");
    expect(decodeText(bytes, "utf-16le")).toBe("id,title\n1,Jäger\n");
  });

  it("reads all bytes of Windows-1252 as the standard says, also where the runtime does not", () => {
    expect(decodeText(new Uint8Array([0x80, 0x92, 0x9f, 0xe4]), "windows-1252")).toBe("€’Ÿä");
  });

  it.each(Object.keys(encodingTitles))("%s can be chosen and decoded", (label) => {
    if (!isEncoding(label)) throw new Error("not an encoding");
    expect(decodeAs(label.startsWith("utf-16") ? new Uint8Array() : new Uint8Array([97]), label, true)).toMatch(/^a?$/);
  });

  it("shows words with letters beyond ASCII, each once and cut short", () => {
    expect(oddWords("id;Größe;weiß\n1;Größe;5 €;rot\n2;é".concat("e".repeat(90)), 5)).toEqual([
      "Größe",
      "weiß",
      `é${"e".repeat(39)}`,
    ]);
    expect(oddWords("a é b ü c", 1)).toEqual(["é"]);
  });

  it("that does not fit is told, with what to do", () => {
    expect(() => decodeText(new Uint8Array([0x61, 0xff, 0x0a]), "shift_jis")).toThrow(/Choose a different encoding/);
  });
});
