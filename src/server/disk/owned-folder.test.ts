import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  readlinkSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from "node:fs";
import { tmpdir } from "node:os";
import { dirname, join } from "node:path";
import { afterAll, describe, expect, it } from "vitest";
import { type FolderWishes, writeOwnedFolder } from "./owned-folder.ts";

const here = mkdtempSync(join(tmpdir(), "trellis-folder-"));
afterAll(() => rmSync(here, { recursive: true, force: true }));
let count = 0;
const folder = () => join(here, String(++count));
const bytes = (text: string) => new TextEncoder().encode(text);
const filesOf = (files: Record<string, string>) =>
  new Map(Object.entries(files).map(([path, text]) => [path, bytes(text)]));
const write = (root: string, files: Record<string, string>, wishes: Partial<FolderWishes> = {}) =>
  writeOwnedFolder(root, filesOf(files), { content: "shop", ...wishes });

/** A folder as its paths with what is in each: text of files, targets of links. */
function treeOf(root: string): Record<string, string> {
  const found: Record<string, string> = {};
  const walk = (at: string) => {
    for (const one of readdirSync(join(root, at), { withFileTypes: true })) {
      const path = join(at, one.name);
      if (one.isSymbolicLink()) found[path] = `-> ${readlinkSync(join(root, path))}`;
      else if (one.isDirectory()) walk(path);
      else found[path] = readFileSync(join(root, path), "utf8");
    }
  };
  walk("");
  return found;
}
const own = (root: string) =>
  Object.fromEntries(Object.entries(treeOf(root)).filter(([path]) => !path.startsWith(".trellis-")));
function put(root: string, files: Record<string, string>): string {
  for (const [path, text] of Object.entries(files)) {
    mkdirSync(dirname(join(root, path)), { recursive: true });
    writeFileSync(join(root, path), text);
  }
  return root;
}

describe("a folder that we write", () => {
  it("has what was written, and loses what is not written any more", () => {
    const root = folder();
    write(root, { "shop.json": "1", "panels/a.json": "a", "panels/b.json": "b" });
    expect(write(root, { "shop.json": "2", "panels/b.json": "b" })).toEqual([]);
    expect(own(root)).toEqual({ "shop.json": "2", "panels/b.json": "b" });
  });

  it("keeps files of others: they are neither replaced nor removed", () => {
    const root = folder();
    write(root, { "shop.json": "1", "panels/a.json": "a" });
    put(root, { "README.md": "mine", "panels/mine.json": "mine", "pictures/holiday.jpg": "photo" });
    write(root, { "shop.json": "2" });
    expect(own(root)).toEqual({
      "shop.json": "2",
      "README.md": "mine",
      "panels/mine.json": "mine",
      "pictures/holiday.jpg": "photo",
    });
    expect(() => write(root, { "panels/mine.json": "ours" })).toThrow(/panels\/mine\.json was changed or added/);
  });

  it("is not one with other files in it, unless that is agreed to; then nothing is removed either", () => {
    const root = put(folder(), { "pictures/holiday.jpg": "photo", "shop.json": "theirs" });
    const before = treeOf(root);
    expect(() => write(root, { "shop.json": "1" })).toThrow(
      /add --into .* 1 file there would be replaced \(shop\.json\)/,
    );
    expect(treeOf(root)).toEqual(before);
    write(root, { "shop.json": "1" }, { into: true });
    write(root, { "pages.json": "1" });
    expect(own(root)).toEqual({ "pictures/holiday.jpg": "photo", "pages.json": "1" });
  });

  it("keeps what somebody changed, and says so", () => {
    const root = folder();
    write(root, { "panels/a.json": "a", "panels/b.json": "b" });
    put(root, { "panels/a.json": "changed by hand" });
    expect(() => write(root, { "panels/a.json": "new" })).toThrow(/panels\/a\.json was changed/);
    expect(write(root, { "panels/b.json": "b" })).toEqual(["panels/a.json"]);
    expect(own(root)).toEqual({ "panels/a.json": "changed by hand", "panels/b.json": "b" });
    // From now on it is somebody else’s.
    expect(write(root, { "panels/b.json": "b" })).toEqual([]);
  });

  it("follows no link: at a file, at a folder, in a circle", () => {
    const target = put(folder(), { "precious.json": "precious", "a.json": "precious too" });
    const atFile = folder();
    write(atFile, { "shop.json": "1" });
    rmSync(join(atFile, "shop.json"));
    symlinkSync(join(target, "precious.json"), join(atFile, "shop.json"));
    const atFolder = folder();
    write(atFolder, { "panels/a.json": "a" });
    rmSync(join(atFolder, "panels"), { recursive: true });
    symlinkSync(target, join(atFolder, "panels"));
    const circle = folder();
    mkdirSync(circle);
    symlinkSync(circle, join(circle, "panels"));
    for (const into of [false, true]) {
      expect(() => write(atFile, { "shop.json": "2" }, { into })).toThrow(/shop\.json is a link/);
      expect(() => write(atFolder, { "panels/a.json": "2" }, { into })).toThrow(/panels is a link/);
      expect(() => write(circle, { "panels/a.json": "2" }, { into })).toThrow(/panels is a link|contains files/);
    }
    // The file that is no longer written is behind the link now, and stays.
    write(atFolder, { "shop.json": "1" });
    expect(treeOf(target)).toEqual({ "precious.json": "precious", "a.json": "precious too" });
  });

  it("is checked as a whole before the first change", () => {
    const root = folder();
    write(root, { "shop.json": "1" });
    mkdirSync(join(root, "pages.json"));
    put(root, { looks: "a file where a folder should be" });
    const before = treeOf(root);
    expect(() => write(root, { "shop.json": "2", "pages.json": "2" })).toThrow(/pages\.json is not a file/);
    expect(() => write(root, { "shop.json": "2", "looks/a.json": "2" })).toThrow(/looks is not a folder/);
    for (const path of ["../x", "a/../../x", "/etc/x", "a//b", "a\\b"])
      expect(() => write(root, { [path]: "2" })).toThrow(/outside of/);
    expect(treeOf(root)).toEqual(before);
  });

  it("believes no list that leads out of it", () => {
    const precious = put(folder(), { "precious.txt": "precious" });
    const root = folder();
    write(root, { "shop.json": "1" });
    const list = join(root, ".trellis-shop-files.json");
    const hash = /"shop\.json": "(\w+)"/.exec(readFileSync(list, "utf8"))?.[1] ?? "";
    writeFileSync(join(precious, "precious.txt"), "1");
    const leading = `../${precious.split("/").at(-1)}/precious.txt`;
    writeFileSync(list, JSON.stringify({ tool: "zany-trellis", files: { [leading]: hash, "shop.json": hash } }));
    write(root, { "pages.json": "1" });
    expect(existsSync(join(precious, "precious.txt"))).toBe(true);
    expect(own(root)).toEqual({ "pages.json": "1" });
  });

  it("is completed after a crash, without litter", () => {
    const root = folder();
    write(root, { "shop.json": "1", "panels/a.json": "a", "panels/b.json": "b" });
    // A folder where nothing can be created ends the work in the middle.
    mkdirSync(join(root, "looks"));
    const files = { "shop.json": "2", "panels/b.json": "b2", "looks/a.json": "look" };
    const broken = new Map(Object.entries(files).map(([path, text]) => [path, bytes(text)]));
    Object.defineProperty(broken, Symbol.iterator, {
      *value() {
        yield ["shop.json", bytes("2")];
        yield ["panels/b.json", bytes("b2")];
        if (readFileSync(join(root, "shop.json"), "utf8") === "2") throw new Error("crash");
        yield ["looks/a.json", bytes("look")];
      },
    });
    expect(() => writeOwnedFolder(root, broken, { content: "shop" })).toThrow("crash");
    const list = JSON.parse(readFileSync(join(root, ".trellis-shop-files.json"), "utf8"));
    writeFileSync(join(root, `.shop.json.${list.writing.token}.part`), "half");
    expect(write(root, { "shop.json": "3" })).toEqual([]);
    expect(own(root)).toEqual({ "shop.json": "3" });
    expect(readdirSync(root).filter((name) => name.endsWith(".part"))).toEqual([]);
  });

  it("keeps what is asked for one more time", () => {
    const root = folder();
    const handoff = (files: Record<string, string>, kept: string[]) =>
      write(root, files, { content: "handoff", keep: (path) => kept.includes(path) });
    handoff({ "trellis.a.js": "a" }, []);
    handoff({ "trellis.b.js": "b" }, ["trellis.a.js"]);
    expect(Object.keys(own(root)).sort()).toEqual(["trellis.a.js", "trellis.b.js"]);
    handoff({ "trellis.c.js": "c" }, ["trellis.b.js"]);
    expect(Object.keys(own(root)).sort()).toEqual(["trellis.b.js", "trellis.c.js"]);
    // A folder of one kind is not one of another.
    expect(() => write(root, { "shop.json": "1" })).toThrow(/not from an earlier export/);
  });
});
