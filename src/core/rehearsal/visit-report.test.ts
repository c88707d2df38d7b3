import { describe, expect, it } from "vitest";
import type { Visit } from "../api/visit.ts";
import { visitReport } from "../api/visit-report.ts";
import { checkValue } from "../document/schema.ts";
import { maxLinesOfTab, VisitReader } from "./visit-report.ts";

const now = Date.parse("2026-11-30T12:00:00Z");
const line = (changes: Partial<Visit>): string =>
  JSON.stringify({ format: 1, at: "2026-11-30T09:15:00Z", tab: "a", page: "/", band: "wide", act: "see", ...changes });

function reportOf(lines: readonly string[]) {
  const reader = new VisitReader(now);
  for (const one of lines) reader.add(one);
  return reader.report();
}

describe("a file of visits", () => {
  it("says by page and band what was chosen, opened and sought", () => {
    const { pages, lines, editions } = reportOf([
      line({ edition: 2 }),
      line({ act: "choose", field: "light", chosen: ["shade"], before: 240, after: 77, ms: 20 }),
      line({ act: "choose", field: "light", chosen: ["full sun"], before: 77, after: 180, ms: 40 }),
      line({ act: "remove", field: "light", chosen: ["shade"], before: 180, after: 103, ms: 30 }),
      line({ act: "open", text: "LM001", at: "2026-11-30T09:15:40Z" }),
      line({ act: "open", text: "LM002" }),
      line({ tab: "b" }),
      line({ tab: "b", act: "sort", text: "-price", after: 240 }),
      line({ tab: "b", act: "sort", text: "", after: 240 }),
      line({ tab: "b", act: "search", text: "Rosebush", before: 240, after: 0 }),
      line({ tab: "b", act: "nothing", text: "Rosebush" }),
      line({ tab: "c", band: "slim" }),
    ]);
    expect([lines, editions]).toEqual([12, [2]]);
    expect(pages.map(({ page, band, visits }) => [page, band, visits])).toEqual([
      ["/", "wide", 2],
      ["/", "slim", 1],
    ]);
    const [wide] = pages;
    expect(wide).toMatchObject({
      choosing: { hits: 1, of: 2 },
      empty: { hits: 1, of: 2 },
      opening: { hits: 1, of: 2 },
      choicesBefore: 2,
      secondsBefore: 40,
      ms: 30,
      sorts: [{ sort: "-price", visits: 1 }],
      soughtInVain: [{ words: "rosebush", visits: 1 }],
    });
    expect(wide?.fields).toMatchObject([
      {
        field: "light",
        used: { hits: 1, of: 2 },
        removed: { hits: 1, of: 2 },
        options: [
          { option: "shade", visits: 1 },
          { option: "full sun", visits: 1 },
        ],
      },
    ]);
  });

  it("counts facets that were opened and left without a choice, once a visit", () => {
    const [page] = reportOf([
      line({ act: "unfold", field: "light" }),
      line({ act: "unfold", field: "light" }),
      line({ tab: "b", act: "unfold", field: "light" }),
      line({ tab: "b", act: "choose", field: "light", chosen: ["shade"] }),
      line({ tab: "c", act: "choose", field: "light", chosen: ["shade"] }),
    ]).pages;
    expect(page?.fields).toMatchObject([{ field: "light", used: { hits: 2, of: 3 }, left: { hits: 1, of: 2 } }]);
  });

  it("leaves out what it can't read, and says how much of what, and where the first is", () => {
    const { lines, left } = reportOf([
      line({}),
      '{"format":1,"at":"2026-11-',
      JSON.stringify({ format: 2, at: "x" }),
      line({ at: "2027-01-01T00:00:00Z" }),
      line({ act: "look" as Visit["act"] }),
      "",
      JSON.stringify({ ...JSON.parse(line({})), person: "somebody" }),
      '{"format":1',
    ]);
    expect(lines).toBe(1);
    expect(left).toEqual([
      { why: "not JSON", lines: 2, first: 2 },
      { why: "another version", lines: 1, first: 3 },
      { why: "not a visit", lines: 2, first: 5 },
      { why: "from the future", lines: 1, first: 4 },
    ]);
  });

  it("counts a tab of very many lines up to a limit", () => {
    const { lines, left } = reportOf(Array.from({ length: maxLinesOfTab + 3 }, () => line({})));
    expect(lines).toBe(maxLinesOfTab);
    expect(left).toEqual([{ why: "too many of one tab", lines: 3, first: maxLinesOfTab + 1 }]);
  });

  it("is the same as a table", () => {
    const lines = [
      line({ edition: 2 }),
      line({ act: "choose", field: "light", chosen: ["shade", "full sun"], before: 240, after: 77, ms: 20 }),
      line({ act: "choose", field: "price", chosen: { min: 5, max: 10 }, before: 77, after: 12 }),
      line({ act: "search", text: "a|b", before: 12, after: 1 }),
    ];
    const table = new VisitReader(now);
    for (const text of lines)
      table.addRow(
        Object.fromEntries(
          Object.entries(JSON.parse(text)).map(([name, value]) => [
            name,
            Array.isArray(value) ? value.join("|") : typeof value === "object" ? JSON.stringify(value) : String(value),
          ]),
        ),
      );
    expect(table.report()).toEqual(reportOf(lines));
    table.addRow({ format: "1", chosen: "{" });
    expect(table.report().left).toEqual([{ why: "not a visit", lines: 1, first: 6 }]);
  });

  it("says of each edition how its visits went, over all pages and bands", () => {
    const { ofEditions } = reportOf([
      line({ edition: 3 }),
      line({ edition: 3, act: "choose", field: "light", chosen: ["shade"] }),
      line({ edition: 3, act: "open", text: "LM001" }),
      line({ edition: 2, tab: "b", band: "slim" }),
      line({ edition: 2, tab: "b", band: "slim", act: "nothing", text: "yew" }),
      line({ edition: 2, tab: "b", page: "/brands/a" }),
      line({ tab: "c" }),
    ]);
    expect(ofEditions).toEqual([
      { edition: 2, visits: 2, choosing: 0, empty: 1, opening: 0 },
      { edition: 3, visits: 1, choosing: 1, empty: 0, opening: 1 },
    ]);
  });

  it("makes a report that its schema takes", () => {
    const report = reportOf([line({ edition: 2 }), line({ act: "nothing", text: "\u0130".repeat(1900) }), "x"]);
    expect(checkValue("report", visitReport, JSON.parse(JSON.stringify(report)))).toEqual(
      JSON.parse(JSON.stringify(report)),
    );
    expect(() => checkValue("report", visitReport, { ...report, lines: -1 })).toThrow();
  });

  it("keeps markup in options as text", () => {
    const hostile = "<img src=x onerror=alert(1)>";
    const { pages } = reportOf([line({}), line({ act: "choose", field: "light", chosen: [hostile] })]);
    expect(pages[0]?.fields[0]?.options).toEqual([{ option: hostile, visits: 1 }]);
  });
});
