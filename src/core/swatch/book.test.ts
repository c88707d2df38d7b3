import { describe, expect, it } from "vitest";
import { edited } from "../document/edit.ts";
import { checkDocument } from "../document/kind.ts";
import { entryOf } from "./book.ts";
import type { SwatchDocument } from "./book-schema.ts";
import {
  type SwatchEdit,
  setAlt,
  setColours,
  setDrawing,
  setLimit,
  setMany,
  setOrder,
  setPhotos,
  setPicture,
  setShared,
} from "./edit.ts";
import { swatchesKind } from "./kind.ts";
import { guessByName } from "./name-guess.ts";
import { resolveBook, swatchViewOf } from "./view.ts";

const emptyBook = swatchesKind.fresh("");
const bookWith = (...edits: SwatchEdit[]): SwatchDocument => edited(emptyBook, ...edits);
const white = { field: "flower", id: "white", label: "White" };
const potWhite = { ...white, field: "pot" };
const picture = `/pictures/shop/${"a1".repeat(32)}.svg`;

describe("what stands for a value", () => {
  const guess = guessByName("White");
  const photos = setPhotos("flower", { white: { colours: ["#fbfaf4"], agree: 3, of: 4 } }, "photos");

  it("falls back from picture to colour, name, pictures and text", () => {
    const full = bookWith(setPicture(white, picture), setColours(white, ["#fafafa"]), photos);
    expect(swatchViewOf(full, "flower", "white", guess)).toMatchObject({ source: "picture", picture });
    expect(swatchViewOf(bookWith(setColours(white, ["#fafafa"]), photos), "flower", "white", guess)).toEqual({
      source: "colour",
      colours: ["#fafafa"],
    });
    expect(swatchViewOf(bookWith(photos), "flower", "white", guess)).toEqual({ source: "name", colours: ["#ffffff"] });
    expect(swatchViewOf(bookWith(photos), "flower", "white", undefined)).toEqual({
      source: "photos",
      colours: ["#fbfaf4"],
    });
    expect(swatchViewOf(emptyBook, "flower", "white", undefined)).toEqual({ source: "text" });
  });

  it("follows the field's own order, and ends at the text", () => {
    const order = (...sources: Parameters<typeof setOrder>[1]) =>
      bookWith(photos, setColours(white, ["#fafafa"]), setOrder("flower", sources, "Flower"));
    expect(swatchViewOf(order("photos", "colour", "name", "picture", "text"), "flower", "white", guess).source).toBe(
      "photos",
    );
    expect(swatchViewOf(order("text", "colour", "name", "picture", "photos"), "flower", "white", guess).source).toBe(
      "text",
    );
    // The usual order is not kept.
    expect(order("picture", "colour", "name", "photos", "text").order).toEqual({});
  });

  it("does not show a guess that is not sure", () => {
    expect(swatchViewOf(emptyBook, "flower", "turqoise", guessByName("turqoise")).source).toBe("text");
  });

  it("is resolved for the shop page without blanks, with outline and mark", () => {
    const options = ["White", "Midnight blue", "Gate song"].map((label) => ({ id: label.toLowerCase(), label }));
    const resolved = resolveBook(bookWith(setAlt(white, "Paper white")), [{ key: "flower", options }], guessByName);
    expect(resolved).toEqual({
      flower: {
        white: { colours: ["#ffffff"], alt: "Paper white", outline: true, mark: "#000000" },
        "midnight blue": { colours: ["#191970"], mark: "#ffffff" },
      },
    });
  });
});

describe("a step over the book", () => {
  it("is shared by fields until one differs", () => {
    const shared = bookWith(setColours(white, ["#fafafa"]));
    expect(entryOf(shared, "pot", "white")).toEqual({ colours: ["#fafafa"] });
    const split = edited(shared, setShared(potWhite, false), setColours(potWhite, ["#e8e4da"]));
    expect(entryOf(split, "pot", "white")).toEqual({ colours: ["#e8e4da"] });
    expect(entryOf(split, "flower", "white")).toEqual({ colours: ["#fafafa"] });
    const again = edited(split, setShared(potWhite, true));
    expect(again).toEqual(shared);
  });

  it("keeps four colours at most and leaves no empty entry behind", () => {
    const five = bookWith(setColours(white, ["#111111", "#222222", "#333333", "#444444", "#555555"]));
    expect(five.shared.white.colours).toHaveLength(4);
    expect(edited(five, setColours(white, [])).shared).toEqual({});
    expect(bookWith(setColours(white, ["#111111"]), setDrawing(white, "stripes")).shared.white.drawing).toBe("stripes");
    expect(bookWith(setPicture(white, picture), setPicture(white, undefined)).shared).toEqual({});
    expect(bookWith(setAlt(white, "  x "), setAlt(white, " ")).shared).toEqual({});
  });

  it("takes many at once as one step", () => {
    const many = setMany(
      [
        { value: white, colours: ["#fafafa"] },
        { value: { ...white, id: "red", label: "Red" }, colours: ["#c00000"] },
      ],
      "take 2 guesses",
    );
    expect(many.words).toBe("take 2 guesses");
    expect(Object.keys(edited(emptyBook, many).shared)).toEqual(["white", "red"]);
  });

  it("touches nothing that a name like __proto__ could reach", () => {
    const odd = bookWith(setColours({ field: "flower", id: "__proto__", label: "__proto__" }, ["#fafafa"]));
    expect(({} as { colours?: unknown }).colours).toBeUndefined();
    expect(entryOf(odd, "flower", "constructor")).toBeUndefined();
  });
});

describe("a book from elsewhere", () => {
  it("passes whole", () => {
    const full = bookWith(
      setColours(white, ["#fafafa", "#111111"]),
      setDrawing(white, "stripes"),
      setPicture(white, picture),
      setAlt(white, "White"),
      setShared(potWhite, false),
      setPhotos("flower", { white: { colours: ["#fbfaf4"], agree: 3, of: 4 } }, "x"),
      setOrder("flower", ["photos", "name", "picture", "colour", "text"], "Flower"),
      setLimit(7.5),
    );
    expect(checkDocument(swatchesKind, JSON.parse(JSON.stringify(full)))).toEqual(full);
    expect(edited(emptyBook, setLimit(400)).limit).toBe(50);
  });

  it.each([
    [{ shared: { white: { colours: ["red"] } } }, "not a colour"],
    [{ shared: { white: { colours: [] } } }, "colours"],
    [{ shared: { white: { picture: "https://x.example/a.png" } } }, "not a picture of this shop"],
    [{ shared: { white: { picture: "/pictures/../../etc" } } }, "not a picture of this shop"],
    [{ shared: { white: { onclick: "x" } } }, "onclick"],
    [{ shared: [] }, "shared"],
    [{ order: { flower: ["guess"] } }, "order"],
    [{ limit: -1 }, "limit"],
    [{ format: 2 }, "format"],
    [{ photos: { flower: { white: { colours: ["#ffffff"], agree: 1.5, of: 2 } } } }, "agree"],
  ])("is refused with its place: %j", (part, words) => {
    expect(() => checkDocument(swatchesKind, { ...emptyBook, ...part })).toThrow(words);
  });
});
