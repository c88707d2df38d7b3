import { spawnSync } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, describe, expect, it } from "vitest";
import { runTrellis } from "../../src/cli/run.ts";

const folder = mkdtempSync(join(tmpdir(), "trellis-"));
const file = (name: string, text: string | Uint8Array) => {
  writeFileSync(join(folder, name), text);
  return join(folder, name);
};
/** The output and the exit status of a run of the command line. */
interface RunResult {
  status: number | null;
  // biome-ignore lint/suspicious/noExplicitAny: what is printed is looked at as the JSON that it is
  out: any;
  lines: string[];
}
const ran = (status: number | null, out: string, err: string): RunResult => ({
  status,
  out: out === "" ? undefined : JSON.parse(out),
  lines: err
    .trim()
    .split("\n")
    .filter((line) => !line.startsWith("npm warn")),
});
const trellis = async (...args: string[]): Promise<RunResult> => {
  const { status, out, err } = await runTrellis(args);
  return ran(status, out, err);
};
/** The same as somebody would run it. */
function typed(...args: string[]): RunResult {
  const { status, stdout, stderr } = spawnSync("npm", ["run", "-s", "trellis", "--", ...args], {
    encoding: "utf8",
    env: { ...process.env, INIT_CWD: folder },
  });
  return ran(status, stdout, stderr);
}
afterAll(() => rmSync(folder, { recursive: true }));

const shop = file(
  "shop.csv",
  `product_id,sku,title,colour,size,stock,price,category,rating,due
P1,a,One,black,large,3,10,Pots > Clay,4.5,2026-03-01
P1,b,One,white,medium,2,12,Pots > Clay,4.5,2026-03-01
P2,a,Two,Black ,medium,0,11,Pots > Wood,,2026-03-31
P3,,Three,black,,5,9,Tools,3,
`,
);

describe("trellis tally", () => {
  it("prints totals, products and facets as one JSON object", async () => {
    const { status, out } = await trellis(
      "tally",
      shop,
      "--facet",
      "colour",
      "--facet",
      "size",
      "--facet",
      "price",
      "--facet",
      "category",
      "--pick",
      "colour=BLACK|white",
      "--pick",
      "price=10..11",
    );
    expect(status).toBe(0);
    expect(out).toEqual({
      total: 2,
      products: ["P1", "P2"],
      facets: {
        colour: { level: "variant", mode: "any", options: { black: 2, white: 0 } },
        size: { level: "variant", mode: "any", options: { large: 1, medium: 1 } },
        price: { level: "variant", mode: "range", min: 9, max: 12 },
        category: {
          level: "product",
          mode: "tree",
          options: { Pots: 2, "Pots > Clay": 1, "Pots > Wood": 1, Tools: 0 },
        },
      },
    });
  });

  it("knows dates, computed facets and modes that are asked for", async () => {
    const { out } = await trellis(
      "tally",
      shop,
      "--facet",
      "due",
      "--facet",
      "availability",
      "--facet",
      "rating:any",
      "--facet",
      "colour:all",
      "--pick",
      "due=2026-03-01..2026-03-31",
      "--pick",
      "colour=black|white",
    );
    expect(out.products).toEqual(["P1"]);
    expect(out.facets.due).toEqual({ level: "product", mode: "range", min: "2026-03-01", max: "2026-03-01" });
    expect(out.facets.availability.options).toEqual({ "in stock": 1, "out of stock": 0 });
    expect(out.facets.rating).toEqual({ level: "product", mode: "any", options: { "4.5": 1, "3": 0 } });
  });

  it("says null when a range finds nothing", async () => {
    const { out } = await trellis("tally", shop, "--facet", "rating", "--pick", "price=9..9", "--pick", "colour=white");
    expect(out.total).toBe(0);
    expect(out.facets.rating).toMatchObject({ min: null, max: null });
  });

  it("makes standing conditions of --within, which every count keeps", async () => {
    const within = ["--within", "availability=in stock"];
    const { out } = await trellis(
      "tally",
      shop,
      "--facet",
      "colour",
      "--facet",
      "size",
      "--pick",
      "size=medium",
      ...within,
    );
    expect(out).toMatchObject({ total: 1, products: ["P1"] });
    expect(out.facets.colour.options).toEqual({ black: 0, white: 1 });
    const some = await trellis(
      "tally",
      shop,
      "--facet",
      "price",
      "--within",
      "category=Pots",
      "--within",
      "price=11..",
    );
    expect(some.out).toMatchObject({ products: ["P1", "P2"], facets: { price: { min: 11, max: 12 } } });
    expect((await trellis("tally", shop, "--within", "colour")).lines[0]).toMatch(/--within 'colour' has no “=”/);
    expect(await trellis("tally", shop, "--within", "colour=green")).toMatchObject({ status: 2 });
  });

  it("numbers the rows of a file without product ids, each a product of its own", async () => {
    const { status, out } = await trellis(
      "tally",
      file("ids.csv", "name,colour\nOne,red\nTwo,red\nThree,blue\n"),
      "--facet",
      "colour",
      "--pick",
      "colour=red",
    );
    expect(status).toBe(0);
    expect(out.products).toEqual(["1", "2"]);
    expect(out.facets.colour.options).toEqual({ red: 2, blue: 1 });
  });

  it.each([
    ["an unknown facet", [shop, "--facet", "colr"], /no facet “colr”/],
    [
      "a value that no product states",
      [shop, "--facet", "colour", "--pick", "colour=blakc"],
      /No product has the value “blakc”/,
    ],
    ["a mode that is none", [shop, "--facet", "colour:most"], /“most” is not a mode/],
    ["two values of a one-of facet", [shop, "--facet", "colour:one", "--pick", "colour=black|white"], /one value only/],
    ["a range that is none", [shop, "--facet", "price", "--pick", "price=cheap"], /not a range/],
    ["a file that is not there", ["none.csv"], /no such file/],
    ["no file", ["--facet", "colour"], /Name one catalogue file/],
    ["broken quotes", [file("quotes.csv", 'product_id,title\np1,One\np2,"Two\n')], /Row 3: A quotation mark is opened/],
    [
      "another encoding",
      [file("latin.csv", new Uint8Array([...Buffer.from("product_id,title\np1,caf"), 0xe9, 10]))],
      /Row 2: The text is not UTF-8/,
    ],
    ["an empty file", [file("empty.csv", "")], /empty/],
    [
      "a row without an id",
      [file("idless.csv", "product_id,title\np1,One\n,Two\n")],
      /Row 3, column "product_id": The product id is empty/,
    ],
    ["a row with a cell too many", [file("ragged.csv", "product_id,title\np1,One,1\n")], /Row 2: This row has 3 cells/],
  ])("ends with status 2 and one line for %s", async (_case, args, message) => {
    const { status, out, lines } = await trellis("tally", ...args);
    expect(status).toBe(2);
    expect(out).toBeUndefined();
    expect(lines).toHaveLength(1);
    expect(lines[0]).toMatch(message);
  });

  it("prints JSON alone when somebody runs it, and says what is wrong on the other stream", () => {
    expect(typed("tally", shop, "--facet", "size")).toMatchObject({ status: 0, out: { total: 3 }, lines: [""] });
    const wrong = typed("tally", "nowhere.csv");
    expect(wrong).toMatchObject({ status: 2, out: undefined });
    expect(wrong.lines).toHaveLength(1);
    expect(wrong.lines[0]).toMatch(/nowhere.csv can’t be read/);
  });
});
