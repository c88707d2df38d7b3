import { describe, expect, it } from "vitest";
import { edited } from "../document/edit.ts";
import { checkDocument } from "../document/kind.ts";
import { setAlt, setColours, setDrawing, setPhotos, setPicture, setShared, type ValueName } from "./edit.ts";
import { readSwatchCsv, writeSwatchCsv } from "./formats.ts";
import { swatchesKind } from "./kind.ts";
import { linesOfBook, takeLines, unzipLines, zipLines } from "./list.ts";
import { guessByName } from "./name-guess.ts";
import { swatchViewOf } from "./view.ts";

const value = (field: string, label: string): ValueName => ({ field, label, id: label.toLowerCase() });
const labels = ["Sage", "Rose / white", "Ardle", "Moosgrün", "Gate song", "Old gate"];
const options = labels.map((label) => ({ label, id: label.toLowerCase() }));
const fields = [
  { key: "flower", options },
  { key: "pot", options: options.slice(0, 2) },
];
const picture = `/pictures/a/${"0".repeat(64)}.svg`;
const svg = new TextEncoder().encode("<svg xmlns='http://www.w3.org/2000/svg'/>");
const book = [
  setColours(value("flower", "Sage"), ["#9cab86"]),
  setShared(value("pot", "Sage"), false),
  setColours(value("pot", "Sage"), ["#112233"]),
  setColours(value("flower", "Rose / white"), ["#e0627f", "#ffffff"]),
  setDrawing(value("flower", "Rose / white"), "stripes"),
  setAlt(value("flower", "Rose / white"), "Rose, white, striped"),
  setPicture(value("flower", "Ardle"), picture),
  setPhotos("flower", { "old gate": { colours: ["#445566"], agree: 4, of: 5 } }, ""),
].reduce((now, edit) => edited(now, edit), swatchesKind.fresh(""));
const lines = linesOfBook(book, fields, guessByName);

/** A book that knows what was found in pictures, and nothing else, with a list taken in field by field. */
const takenFrom = (list: typeof lines) =>
  fields.reduce(
    (now, { key, options: own }) => {
      const { edit } = takeLines(
        list,
        { key, name: key },
        own.map(({ label }) => value(key, label)),
      );
      return edit ? edited(now, edit) : now;
    },
    { ...swatchesKind.fresh(""), photos: book.photos },
  );

describe("a swatch list out and in again", () => {
  it("is the same book: what was given is given, what was guessed is a guess", () => {
    expect(lines.map(({ field, name, from }) => [field, name, from])).toEqual([
      ["flower", "Sage", "shared"],
      ["flower", "Rose / white", "shared"],
      ["flower", "Ardle", "shared"],
      ["flower", "Moosgrün", "name"],
      ["flower", "Old gate", "photos"],
      ["pot", "Sage", "own"],
      ["pot", "Rose / white", "shared"],
    ]);
    const { lines: read, problems } = readSwatchCsv(writeSwatchCsv(lines));
    expect(problems).toEqual([]);
    expect(read).toEqual(lines);
    expect(takenFrom(read)).toEqual(book);
    expect(checkDocument(swatchesKind, takenFrom(read))).toEqual(book);
  });

  it("brings its pictures along in a zip, named by their values", () => {
    const zip = zipLines(lines, new Map([[picture, svg]]));
    const { lines: read, pictures, problems } = unzipLines(zip);
    expect(problems).toEqual([]);
    expect([...pictures]).toEqual([["Ardle.svg", svg]]);
    expect(read.find(({ name }) => name === "Ardle")?.entry).toEqual({ picture: "Ardle.svg" });
    expect(zipLines(lines, new Map([[picture, svg]]))).toEqual(zip);
    expect(() => unzipLines(zipLines([], new Map()).slice(0, 20))).toThrow();
  });

  it("names what no value is called", () => {
    const { taken, unknown } = takeLines(
      readSwatchCsv("Sage #9cab86\nMoon #eeeeee").lines,
      { key: "flower", name: "Flower" },
      [value("flower", "Sage")],
    );
    expect([taken, unknown]).toEqual([1, ["Moon"]]);
  });
});

describe("a name and pictures that say otherwise", () => {
  const violet = guessByName("Violet");
  const seen = (agree: number, of: number, colour = "#f4c430") => {
    const photos = { violet: { colours: [colour], agree, of } };
    return swatchViewOf({ ...swatchesKind.fresh(""), photos: { flower: photos } }, "flower", "violet", violet);
  };

  it("show what nearly all pictures show, and the name where they are few, differ among themselves, or agree with it", () => {
    expect(seen(12, 12)).toMatchObject({ source: "photos", colours: ["#f4c430"] });
    expect(seen(2, 2).source).toBe("name");
    expect(seen(7, 12).source).toBe("name");
    expect(seen(12, 12, violet?.colours[0]).source).toBe("name");
  });
});
