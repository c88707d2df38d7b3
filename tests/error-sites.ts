import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { parseSync } from "vite";

/** A text of the sources that somebody reads when something fails. */
export interface ErrorSite {
  /** File and line. */
  place: string;
  /** The text, with `…` where a value is inserted. */
  text: string;
  /** Matches the text with any values inserted. */
  pattern: RegExp;
}

/** Folders whose errors reach people as they are: what the server, the command line and the import answer. */
const folders = ["src/server", "src/cli", "src/core/catalogue", "src/core/shop/archive", "src/core/sanitize"];

/** A sentence that ends in a full stop; usage lines and addresses are not. */
const isSentence = (text: string): boolean =>
  /\p{L}+ \p{L}*[^.]*\.$/u.test(text) && !/^\s*(?:#|<|@|insert|select)/.test(text);
const escaped = (text: string): string => text.replace(/[.*+?^${}()|[\]\\]/g, "\\$&");

/**
 * The sentences in the sources of {@link folders}: each literal or template that ends like one. Those that only name
 * what a command, an option or a limit does are left out.
 */
export function errorSites(): ErrorSite[] {
  const sites: ErrorSite[] = [];
  for (const file of folders.flatMap(sourcesIn)) {
    const source = readFileSync(file, "utf8");
    const visit = (node: unknown, key = ""): void => {
      if (Array.isArray(node)) for (const one of node) visit(one, key);
      else if (typeof node === "object" && node !== null) {
        const {
          type,
          value,
          quasis,
          start,
          key: named,
        } = node as {
          type?: string;
          value?: unknown;
          quasis?: { value: { cooked: string } }[];
          start: number;
          key?: { name?: string };
        };
        const parts =
          type === "Literal" && typeof value === "string"
            ? [value]
            : type === "TemplateLiteral" && quasis
              ? quasis.map((one) => one.value.cooked)
              : [];
        if (parts.length > 0 && key !== "about" && isSentence(parts.join("…")))
          sites.push({
            place: `${file}:${source.slice(0, start).split("\n").length}`,
            text: parts.join("…"),
            pattern: new RegExp(`${parts.map(escaped).join("[^]*")}`),
          });
        for (const [name, inner] of Object.entries(node))
          visit(inner, type === "Property" ? (named?.name ?? "") : name);
      }
    };
    visit(parseSync(file, source).program);
  }
  return sites;
}

const sourcesIn = (folder: string): string[] =>
  readdirSync(folder, { recursive: true, encoding: "utf8" })
    .filter(
      (name) => /(?<!\.d|\.test)\.tsx?$/.test(name) && !/migrations|^mend\/|handoff\/(?:readme|report-text)/.test(name),
    )
    .map((name) => join(folder, name))
    .sort();
