import fc from "fast-check";
import Papa from "papaparse";
import { describe, expect, it } from "vitest";
import { readCsv } from "./csv.ts";

describe("delimited text", () => {
  // Source: RFC 4180, section 2, rules 5 to 7.
  it("takes quotes, doubled quotes, commas and line breaks in values", () => {
    const { records } = readCsv('a,b\r\n"x, y","He said ""no"""\r\n"two\r\nlines",z\r\n');
    expect(records.map(({ cells }) => cells)).toEqual([
      ["x, y", 'He said "no"'],
      ["two\r\nlines", "z"],
    ]);
  });

  it("recognises tabs and semicolons, a byte order mark and blank lines", () => {
    expect(readCsv("a;b\n1,5;2\n").records[0].cells).toEqual(["1,5", "2"]);
    expect(readCsv("a\tb\n1;2\t3\n").records[0].cells).toEqual(["1;2", "3"]);
    const { header, records } = readCsv("\ufeffa,b\n\n1,2\n\n");
    expect(header).toEqual(["a", "b"]);
    expect(records).toEqual([{ row: 3, cells: ["1", "2"] }]);
  });

  it("numbers rows as a spreadsheet does, also behind a value of several lines", () => {
    expect(() => readCsv('a,b\n"one\ntwo",2\n3,"4\n')).toThrow(/Row 3: A quotation mark is opened/);
    expect(() => readCsv('a,b\n1,"2"3\n')).toThrow(/Row 2: This quoted value continues/);
  });

  it("gives back any table that a general CSV writer wrote", () => {
    const cell = fc.string({ maxLength: 12 }).filter((text) => !text.includes("\0"));
    fc.assert(
      fc.property(fc.array(fc.tuple(cell, cell), { minLength: 1 }), (rows) => {
        const { records } = readCsv(Papa.unparse([["one", "two"], ...rows], { quotes: true }));
        // Rows without any value say nothing of any product.
        expect(records.map(({ cells }) => cells)).toEqual(rows.filter((row) => row.some((cell) => cell.trim() !== "")));
      }),
    );
  });
});
