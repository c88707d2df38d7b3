import { describe, expect, it } from "vitest";
import type { Field } from "./field.ts";
import { headingUnit } from "./numbers/units.ts";
import { buildCatalogue, readTable } from "./read.ts";
import { suggestReading } from "./suggest-reading.ts";

const read = (csv: string, known: Field[] = []) => {
  const table = readTable(new TextEncoder().encode(csv));
  return buildCatalogue(table, { reading: suggestReading(table), known }).catalogue;
};
const fieldsOf = ({ fields }: ReturnType<typeof read>) =>
  fields.filter(({ role }) => role === "attribute").map(({ key, name, kind, unit }) => [key, name, kind, unit]);

describe("units in headings", () => {
  it("are those that end them", () => {
    const found = [
      ...["Length (mm)", "Gewicht [kg]", "Height in cm", "weight_kg", "Power (kWh)", "Masse (g)"],
      ...["body_mass_g", "weight (lb)", "0-60 mph (s)", "elevation_ft", "Fläche [m2]", "Screen (in)", "Volume (L)"],
    ].map(headingUnit);
    expect(found).toEqual([
      { name: "Length", unit: "mm" },
      { name: "Gewicht", unit: "kg" },
      { name: "Height", unit: "cm" },
      { name: "weight", unit: "kg" },
      { name: "Power", unit: "kWh" },
      { name: "Masse", unit: "g" },
      { name: "body_mass", unit: "g" },
      { name: "weight", unit: "lb" },
      { name: "0-60 mph", unit: "s" },
      { name: "elevation", unit: "ft" },
      { name: "Fläche", unit: "m²" },
      { name: "Screen", unit: "in" },
      { name: "Volume", unit: "l" },
    ]);
    for (const other of [
      "size_m",
      "checked_in",
      "Born in MI",
      "Model (S)",
      "Chest (M)",
      "Chest (L)",
      "rate_s",
      "Born in Rome",
      "(mm)",
      "Price (net)",
      "Speed in knots",
      "cm",
      "",
      "price_kg",
      "Cost per (kg)",
    ])
      expect(headingUnit(other), other).toBeUndefined();
  });

  it("stand behind the numbers, not in the name, and a newer file finds its field again", () => {
    const csv = "title,Length (mm)\nA,39.1\nB,40\n";
    const first = read(csv);
    expect(fieldsOf(first)).toEqual([["length-mm", "Length", "number", "mm"]]);
    expect(first.columns.get("length-mm")?.spellings).toEqual(["39.1", "40"]);
    expect(fieldsOf(read(csv, first.fields))).toEqual(fieldsOf(first));
  });

  it("stay in the name beside a column of the same name, and belong to numbers only", () => {
    expect(fieldsOf(read("title,Length (mm),Length\nA,39,short\nB,40,long\n")).map(([, name]) => name)).toEqual([
      "Length (mm)",
      "Length",
    ]);
    expect(fieldsOf(read("title,Width (cm)\nA,narrow\nB,wide\n"))).toEqual([
      ["width-cm", "Width (cm)", "text", undefined],
    ]);
  });
});
