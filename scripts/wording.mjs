/**
 * Finds wording that docs/style.md rules out, in every text that people read: part of `npm run lint` and `npm test`.
 * It holds what a machine can hold; the rest is for readers.
 */
import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { parseSync } from "vite";
import { root } from "./install.mjs";

/**
 * The ruled-out patterns, with what to write instead.
 * @type {readonly (readonly [pattern: RegExp, advice: string])[]}
 */
export const rules = [
  [/[a-z]'(?:s|t|re|ll|ve|d)\b/, "use ’"],
  [/\.\.\.|\p{Ll} …(?!\])/u, "write “Loading…”, with the character and without a space"],
  [/\d %|\d : 1\b/, "write “33%” and “4.5:1”"],
  [/\b(?:is|are|was|were|be|becomes?) another\b|\b(?:another|otherwise) than\b/i, "say changed or different"],
  [/(?<!there )(?:is|are|was|were) no (?!longer\b|more\b|less\b|one\b)[a-z]+/i, "negate the verb"],
  [/\bparted\b|\bparts? (?:again|several|it|them|nothing)\b/i, "say separated, split or unmerged"],
  [/\bstands? (?:here|there|nowhere|beside|on (?:a|the|this) page)\b/i, "say is or appears"],
  [/\b(?:gives?|given|giving) (?:it |all |them )?back\b|\blet (?:it |all |them )?go\b/i, "say reset or restore"],
  [/\bas usual\b|\bas before\b|\ball the same\b|\banew\b/i, "say default, unchanged, anyway or again"],
  [/\bone (?:value|row|line|file|place|product) a \w+\b/i, "say one … per …"],
  [/^(?:Take|Bring|Give|Let) /, "begin with apply, use, download, import, reset or restore"],
  [/\b(?:bring|brings|brought)\b/i, "say import, upload or restore"],
  [/\b(?:mend|mends|mended|mending|remedy)\b/i, "say correction (of the catalogue) or fix"],
  [/\b(?:lattice|the stage|bench)\b/i, "say table of the panel, live page or Panels"],
  [/\bstated?s? (?:it|this|them|nothing|no)\b|\bnot stated\b/i, "say have a value"],
  [/\bnobody\b/i, "say what was looked for: “No shoppers match.”"],
  [/\b(?:colors?|gray|center|behavior|organi[sz]e|catalogs?)\b/, "use British spelling"],
];

const folders = ["src/studio", "src/core", "src/server", "src/cli", "src/storefront"];
/** Texts in other languages, and words by which columns and colours are known. */
const foreign = /words\/(?!en\.)|heading-words|trade-words|colour-names|migrations|\.test\.|\.d\.ts$|specimen/;
/** Attributes whose text nobody reads. */
const silent = /^(?:className|class|id|key|to|href|type|role|style|d|fill|stroke|data-.*)$/;

/** Whether a text is for people: words in a row that are no class names, code or markup. @param {string} text */
const isProse = (text) =>
  /\p{L}{2,}[,:;]? \p{L}{2,}|^\p{Lu}\p{L}+$/u.test(text) &&
  !/[{};=]\s|\bsolid\b|prefers-|::|--zt|<[a-z/]|\binsert into\b|^[a-z-]+(?: [a-z:[\]\d%./-]+)+$/.test(text);

/**
 * The findings in one source file.
 * @param {string} file its name, for the language
 * @param {string} source
 * @returns {string[]}
 */
export function findWording(file, source) {
  /** @type {string[]} */
  const found = [];
  /** @param {string} text @param {number} at */
  const look = (text, at) => {
    const said = text.replace(/\s+/g, " ").trim();
    if (!isProse(said)) return;
    for (const [pattern, advice] of rules) {
      const hit = pattern.exec(said);
      if (hit) found.push(`${file}:${source.slice(0, at).split("\n").length}: “${hit[0].trim()}”: ${advice}`);
    }
  };
  /** @param {any} node */
  const visit = (node) => {
    if (Array.isArray(node)) for (const one of node) visit(one);
    else if (typeof node === "object" && node !== null) {
      if (/^(?:Import|TS(?!As|Satisfies|NonNull))/.test(node.type ?? "")) return;
      if (node.type === "JSXAttribute" && silent.test(node.name?.name ?? "")) return;
      if (node.type === "Literal" && typeof node.value === "string") look(node.value, node.start);
      if (node.type === "JSXText") look(node.value, node.start);
      if (node.type === "TemplateLiteral")
        look(node.quasis.map((/** @type {any} */ one) => one.value.cooked).join("0"), node.start);
      for (const inner of Object.values(node)) visit(inner);
    }
  };
  visit(parseSync(file, source).program);
  return found;
}

/** The findings in all sources. @returns {string[]} */
export const wordingFindings = () =>
  folders.flatMap((folder) =>
    readdirSync(join(root, folder), { recursive: true, encoding: "utf8" })
      .filter((name) => /\.tsx?$/.test(name) && !foreign.test(`${folder}/${name}`))
      .sort()
      .flatMap((name) => findWording(`${folder}/${name}`, readFileSync(join(root, folder, name), "utf8"))),
  );

if (process.argv[1] === import.meta.filename) {
  const found = wordingFindings();
  for (const line of found) console.error(line);
  process.exitCode = found.length > 0 ? 1 : 0;
}
