import { describe, expect, it } from "vitest";
import { settingsOn } from "../settings/settings.ts";
import { type DisplayName, displays } from "./displays.ts";
import { along, type Sought } from "./seeking.ts";
import { densityOf } from "./shop-facts.ts";

type Trial = Omit<Sought, "density"> & { display: DisplayName };

const sought = (display: DisplayName, labels: readonly string[], at: number, more: Partial<Sought> = {}): Trial => ({
  display,
  mode: "any",
  settings: settingsOn({}, "wide"),
  shown: labels.map((label) => ({ id: label.toLowerCase(), label })),
  at,
  ...more,
});
const ways = ({ display, ...one }: Trial) =>
  (displays[display].seek ?? along)({ ...one, density: densityOf(display, one.settings) });
const words = (one: Trial) => ways(one).map(({ read, acts }) => `${read} ${acts.join("")}`);
const fruit = [
  "Apple",
  "Apricot",
  "Banana",
  "Cherry",
  "Date",
  "Elder",
  "Fig",
  "Grape",
  "Kiwi",
  "Lemon",
  "Lime",
  "Mango",
];

describe("how an option comes in sight, worked by hand", () => {
  it("in a list it is read up to; beyond the fold a button is pressed first", () => {
    expect(words(sought("check-boxes", fruit, 2))).toEqual(["3 "]);
    expect(words(sought("check-boxes", fruit, 9))).toEqual(["10 PB"]);
    // Two tiles, and three swatches, take the room of one box: sixteen and twenty-four are seen at once.
    expect(words(sought("tiles", fruit, 9))).toEqual(["10 "]);
    const settings = settingsOn({ foldAfter: { wide: 3 } }, "wide");
    expect(words(sought("swatches", fruit, 8, { settings }))).toEqual(["9 "]);
    expect(words(sought("swatches", fruit, 9, { settings }))).toEqual(["10 PB"]);
  });

  it("a field inside finds it by the first four letters, and what they find is read", () => {
    const settings = settingsOn({ searchInside: { wide: true } }, "wide");
    expect(words(sought("check-boxes", fruit, 1, { settings }))).toEqual(["2 ", "1 PBHKKKKH"]);
    const greens = ["Green", "Green apple", "Greenish", "Grey"];
    expect(words(sought("check-boxes", greens, 2, { settings }))[1]).toBe("3 PBHKKKKH");
  });

  it("a search field shows nothing before, and eight of what is found: more is typed until it is among them", () => {
    const many = Array.from({ length: 20 }, (_, n) => `Brand ${String.fromCharCode(97 + n)}`);
    expect(words(sought("search-field", many, 2))).toEqual(["3 PBHKKKKH"]);
    // "Brand p" is the sixteenth that "bran" finds, and the only one of its seven letters.
    expect(words(sought("search-field", many, 15))).toEqual(["1 PBHKKKKKKKH"]);
  });

  it("a list behind a button has a field from sixteen options on, that of one option has none", () => {
    const many = Array.from({ length: 16 }, (_, n) => `Size ${n + 1}`);
    expect(words(sought("dropdown", many, 0))).toHaveLength(2);
    expect(words(sought("dropdown", many.slice(1), 0))).toHaveLength(1);
    expect(words(sought("dropdown", many, 12, { mode: "one" }))).toEqual(["13 "]);
  });

  it("a tree is read level by level, a press for each branch on the way; flat it is a list", () => {
    const paths = ["Beds", "Beds > Double", "Beds > Single", "Chairs", "Chairs > Arm", "Chairs > Arm > Oak", "Lamps"];
    const tree = sought("tree", paths, 5, { mode: "tree" });
    // Beds, Chairs; Arm; Oak: four are read, and Chairs and Arm are opened.
    expect(words(tree)).toEqual(["4 PBPB"]);
    expect(words(sought("tree", paths, 3, { mode: "tree" }))).toEqual(["2 "]);
    expect(words({ ...tree, settings: settingsOn({ nested: false }, "wide") })).toEqual(["6 "]);
  });
});
