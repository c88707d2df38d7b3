import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { describe, expect, it } from "vitest";

const sources = readdirSync("src", { recursive: true, encoding: "utf8" })
  .filter((name) => /(?<!\.test)\.tsx?$/.test(name))
  .map((name) => [name, readFileSync(join("src", name), "utf8")] as const);
const all = sources.map(([, text]) => text).join("\n");

/** Errors of the language, the platform and the packages. */
const foreign = ["Error", "TypeError", "RangeError", "SyntaxError", "ValidationError"];

describe("docstrings", () => {
  it("name errors that exist", () => {
    const known = new Set([...foreign, ...[...all.matchAll(/class (\w+)/g)].map(([, name = ""]) => name)]);
    const named = sources.flatMap(([file, text]) =>
      [...text.matchAll(/@throws ([A-Z]\w+)/g)].map(([, name = ""]) => ({ file, name })),
    );
    expect(named.length).toBeGreaterThan(50);
    expect(named.filter(({ name }) => !known.has(name))).toEqual([]);
  });

  it("link to names that exist", () => {
    const linked = sources.flatMap(([file, text]) =>
      [...text.matchAll(/\{@link (\w+)/g)].map(([, name = ""]) => ({ file, name })),
    );
    const isDefined = (name: string) =>
      new RegExp(`(?:const|function|class|interface|type|async|get)\\s+#?${name}\\b|\\b${name}\\s*[(:=?<]`).test(all);
    expect(linked.length).toBeGreaterThan(20);
    expect(linked.filter(({ name }) => !isDefined(name))).toEqual([]);
  });
});
