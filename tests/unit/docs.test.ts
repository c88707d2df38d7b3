import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { displayTable } from "../../docs/display-table.ts";
import { stylingPage } from "../../docs/look-table.ts";

describe("pages of docs that are written from code", () => {
  it.each([
    ["displays", displayTable],
    ["styling", stylingPage],
  ])("%s says what the definitions say", (name, page) => {
    expect(readFileSync(`docs/${name}.md`, "utf8")).toBe(page());
  });
});
