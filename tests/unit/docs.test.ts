import { readdirSync, readFileSync } from "node:fs";
import { basename, dirname, join } from "node:path";
import { describe, expect, it } from "vitest";
import { displayTable } from "../../docs/display-table.ts";
import { runningPage } from "../../docs/limit-table.ts";
import { stylingPage } from "../../docs/look-table.ts";

describe("pages of docs that are written from code", () => {
  it.each([
    ["displays", displayTable],
    ["styling", stylingPage],
    ["running", runningPage],
  ])("%s says what the definitions say", (name, page) => {
    expect(readFileSync(`docs/${name}.md`, "utf8")).toBe(page());
  });
});

describe("files that are named in what newcomers read", () => {
  const roots = ["src", "tests", "demo", "bench", "scripts", "docs"];
  const files = [
    ...readdirSync("."),
    ...roots.flatMap((root) =>
      readdirSync(root, { recursive: true, encoding: "utf8" }).map((file) => join(root, file)),
    ),
  ];
  const folders = new Set(files.flatMap((file) => file.split("/").map((_, at, all) => all.slice(0, at).join("/"))));
  const names = new Set(files.map((file) => basename(file)));
  const pages = [
    "README.md",
    "CONTRIBUTING.md",
    ...readdirSync("docs")
      .filter((one) => one.endsWith(".md"))
      .map((one) => join("docs", one)),
  ];

  it.each(pages)("%s names none that is not there", (page) => {
    const text = readFileSync(page, "utf8");
    const code = [...text.matchAll(/`([^`\n]+)`/g)].map(([, name]) => name ?? "");
    const paths = code.filter((name) => /^(?:src|tests|demo|bench|scripts|docs)\/[\w./-]+$/.test(name));
    const inside = code.filter((name) => /^[\w-]+(?:\/[\w-]+)*\.tsx?$/.test(name) && !paths.includes(name));
    const gone = [
      ...paths.filter((path) => !files.includes(path) && !folders.has(path.replace(/\/$/, ""))),
      ...inside.filter((name) => !names.has(basename(name)) && !files.some((file) => file.endsWith(`/${name}`))),
    ];
    expect(gone).toEqual([]);
    const links = [...text.matchAll(/\]\((?!https?:|#|mailto:)([^)#\s]+)/g)].map(([, to]) =>
      join(dirname(page), to ?? ""),
    );
    expect(links.filter((to) => !files.includes(to) && !folders.has(to.replace(/\/$/, "")))).toEqual([]);
  });
});
