import { createHash } from "node:crypto";
import { readFileSync } from "node:fs";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { demoLook } from "../../../../demo/look.ts";
import { demoPages } from "../../../../demo/pages.ts";
import { demoAside, demoPanel, demoQuestions } from "../../../../demo/panel.ts";
import { aLook } from "../../../../tests/random-look.ts";
import { encodeCatalogue } from "../../catalogue/binary.ts";
import { mendsKind } from "../../catalogue/mend/kind.ts";
import { readCatalogue } from "../../catalogue/read.ts";
import { swatchesKind } from "../../swatch/kind.ts";
import { shopKind } from "../kind.ts";
import { ownPictures, shopPictures, withPicturesAt } from "../pictures.ts";
import { readFolder } from "./read-folder.ts";
import { FolderFault, type ShopFiles } from "./shop-files.ts";
import { stableJson } from "./stable-json.ts";
import type { WholeShop } from "./whole-shop.ts";
import { writeFolder } from "./write-folder.ts";
import { unzipFolder, zipFolder } from "./zip.ts";

const picture = `${"ab".repeat(32)}.png`;
const demo: WholeShop = {
  name: "Larkmoss Nursery",
  currency: "EUR",
  catalogue: readCatalogue(readFileSync("demo/nursery.csv")).catalogue,
  reading: [{ heading: "Preis", as: "price", decimal: "," }],
  shop: { ...shopKind.fresh(""), look: "larkmoss" },
  pages: demoPages,
  swatches: {
    ...swatchesKind.fresh(""),
    shared: { ember: { picture: `/pictures/shop/${picture}`, colours: ["#c23b22"] } },
  },
  mends: mendsKind.fresh(""),
  panels: [
    { slug: "climber-finder", document: demoPanel },
    { slug: "three-questions", document: demoQuestions },
    { slug: "beside-the-text", document: demoAside },
  ],
  looks: [{ slug: "larkmoss", document: demoLook }],
  pictures: new Map([[picture, new Uint8Array([0x89, 0x50, 0x4e, 0x47])]]),
};

/** Bytes by their hash, so that a difference is told in a line. */
const hash = (bytes: Uint8Array): string => createHash("sha256").update(bytes).digest("hex");
const hashes = (all: ShopFiles) => Object.fromEntries([...all].map(([path, bytes]) => [path, hash(bytes)]));
/** The files that are read: what schemas say is made anew. */
const own = (all: ShopFiles): ShopFiles => new Map([...all].filter(([path]) => !path.startsWith("schemas/")));

/** A whole shop as plain values that can be compared. */
const plain = ({ catalogue, pictures, ...rest }: WholeShop) => ({
  ...JSON.parse(JSON.stringify(rest)),
  catalogue: hash(encodeCatalogue(catalogue)),
  pictures: hashes(pictures),
});

const files = writeFolder(demo);
const text = (all: ShopFiles, path: string) => new TextDecoder().decode(all.get(path));
const withFile = (path: string, content: string | Uint8Array): ShopFiles =>
  new Map([...files, [path, typeof content === "string" ? new TextEncoder().encode(content) : content]]);
const without = (path: string): ShopFiles => new Map([...files].filter(([name]) => name !== path));

/** A small zip whose directory says that it holds 2 GB. */
function bomb(): Uint8Array {
  const bytes = zipFolder(new Map([["catalogue.csv", new Uint8Array(1000)]]));
  const view = new DataView(bytes.buffer);
  // Source: the ZIP format's application note, 4.3.12: the size unpacked stands 24 bytes into a directory's entry.
  for (let at = 0; at < bytes.length - 4; at++)
    if (view.getUint32(at, true) === 0x02014b50) view.setUint32(at + 24, 2_000_000_000, true);
  return bytes;
}

describe("a shop's folder", () => {
  it("is read back as the same shop, catalogue and all", () => {
    expect(plain(readFolder(files))).toEqual(plain(demo));
  });

  it("is the same files again when it is read and written", () => {
    expect(hashes(writeFolder(readFolder(files)))).toEqual(hashes(files));
  });

  it("keeps any look as it is", () => {
    fc.assert(
      fc.property(aLook(), (look) => {
        const whole = { ...demo, looks: [{ slug: "larkmoss", document: look }] };
        expect(readFolder(writeFolder(whole)).looks[0]?.document).toEqual(look);
      }),
      { numRuns: 8 },
    );
  });

  it("has one value a line, names its schemas, and its members stand in an order that does not change", () => {
    const panel = text(files, "panels/climber-finder.json");
    expect(panel.split("\n")[1]).toBe('  "$schema": "../schemas/panel.json",');
    expect(text(files, "shop.json")).toContain('"$schema": "schemas/shop.json"');
    expect(stableJson({ b: 1, a: { d: [1, 2], c: undefined }, name: "n" })).toBe(
      '{\n  "name": "n",\n  "a": {\n    "d": [\n      1,\n      2\n    ]\n  },\n  "b": 1\n}\n',
    );
  });

  it("takes columns and rows that a person has added to the catalogue", () => {
    const csv = text(files, "catalogue.csv").split("\r\n");
    const [header = "", first = "", ...rest] = csv;
    const wider = [`${header},Scent`, `${first},strong`, ...rest.map((line) => (line ? `${line},` : line))].join(
      "\r\n",
    );
    const { catalogue } = readFolder(withFile("catalogue.csv", wider));
    expect(catalogue.fields.find(({ name }) => name === "Scent")?.kind).toBe("text");
    expect(catalogue.productIds).toEqual(demo.catalogue.productIds);
  });

  it.each<[string, () => ShopFiles, string]>([
    ["a file that is missing", () => without("catalogue.csv"), "catalogue.csv: This file is missing."],
    [
      "a panel that is missing",
      () => without("panels/three-questions.json"),
      "panels/three-questions.json: shop.json names",
    ],
    ["no JSON", () => withFile("pages.json", '{\n  "format": 1,\n'), "pages.json, line 3: This is not valid JSON"],
    ["a newer format", () => withFile("pages.json", '{\n  "format": 99\n}'), "pages.json, line 2: its format is 99"],
    [
      "a wrong value, by its line",
      () =>
        withFile(
          "panels/climber-finder.json",
          text(files, "panels/climber-finder.json").replace('"mode": "tree"', '"mode": "wild"'),
        ),
      "panels/climber-finder.json, line ",
    ],
    [
      "a member that no one knows",
      () => withFile("mends.json", '{ "format": 1, "mends": [], "run": 1 }'),
      "mends.json, line 1",
    ],
    [
      "two panels of one name",
      () => withFile("panels/Climber-Finder.json", text(files, "panels/climber-finder.json")),
      "except for capital letters",
    ],
    ["a name that is none", () => withFile("panels/a b.json", "{}"), "letters, digits"],
    ["a picture under another name", () => withFile("pictures/x.exe", new Uint8Array(1)), "SHA-256"],
    ["no text", () => withFile("pages.json", new Uint8Array([0xff, 0xfe, 0x00])), "UTF-8"],
    ["a catalogue without rows", () => withFile("catalogue.csv", "product_id,title\r\n"), "catalogue.csv"],
  ])("tells %s", (_, made, words) => {
    expect(() => readFolder(made())).toThrow(FolderFault);
    expect(() => readFolder(made())).toThrow(words);
  });

  it("is a zip and back again, at its root or in one folder; the same shop is the same zip", () => {
    expect(hashes(unzipFolder(zipFolder(files)))).toEqual(hashes(own(files)));
    expect(hash(zipFolder(files))).toBe(hash(zipFolder(writeFolder(demo))));
    const inside = new Map([...files].map(([path, bytes]) => [`larkmoss/${path}`, bytes]));
    inside.set("__MACOSX/larkmoss/._shop.json", new Uint8Array(3));
    inside.set("larkmoss/README.md", new Uint8Array(3));
    expect(hashes(unzipFolder(zipFolder(inside)))).toEqual(hashes(own(files)));
  });

  it.each<[string, Uint8Array, string]>([
    ["no zip", new TextEncoder().encode("PK? no"), "not a valid ZIP file"],
    ["a zip cut off", zipFolder(files).slice(0, 5000), "not a valid ZIP file"],
    ["a name that leads out", zipFolder(new Map([["../../shop.json", new Uint8Array(1)]])), "leads out"],
    ["a name from the root", zipFolder(new Map([["/etc/shop.json", new Uint8Array(1)]])), "leads out"],
    ["another way of writing it", zipFolder(new Map([["..\\shop.json", new Uint8Array(1)]])), "leads out"],
    ["more than a folder may hold", bomb(), "more than"],
  ])("refuses %s", (_, bytes, words) => {
    expect(() => unzipFolder(bytes)).toThrow(FolderFault);
    expect(() => unzipFolder(bytes)).toThrow(words);
  });

  it("passes over what is not a shop's own without unpacking it", () => {
    expect([...unzipFolder(zipFolder(new Map([["run.sh", new Uint8Array(9)]]))).keys()]).toEqual([]);
    expect(() => readFolder(unzipFolder(zipFolder(new Map())))).toThrow("shop.json: This file is missing");
  });

  it("names pictures without the shop's place, and with it again", () => {
    const document = { html: `<img src="/pictures/a-shop/${picture}">`, other: "/pictures/x.png" };
    expect(withPicturesAt(document, ownPictures).html).toBe(`<img src="/pictures/shop/${picture}">`);
    expect(withPicturesAt(withPicturesAt(document, ownPictures), shopPictures("b"))).toEqual({
      ...document,
      html: `<img src="/pictures/b/${picture}">`,
    });
    const plain = { html: "no picture", rows: [{ src: "/pictures/x.png" }] };
    expect(withPicturesAt(plain, ownPictures)).toBe(plain);
  });
});
