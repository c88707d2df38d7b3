import { readFileSync } from "node:fs";
import { join } from "node:path";
import { isBuild, repository } from "../repository.ts";

/**
 * The scripts that stand alone, named as the modes of `vite.handoff.config.ts`: the engine, the loader whose name never
 * changes, the script that tells visits, and the one by which a page checks itself.
 */
const standalone = ["engine", "loader", "visits", "check"] as const;

/** The scripts that handoffs are made of. */
export interface HandoffScripts extends Record<(typeof standalone)[number], string> {
  /** CommonJS modules by name: `define`, `views`, each display, and those that they require. */
  modules: Readonly<Record<string, string>>;
}

let scripts: Promise<HandoffScripts> | undefined;

/** The scripts as they were built with the tool; built now, once, if the tool runs from its sources. */
export function handoffScripts(): Promise<HandoffScripts> {
  scripts ??= collect(isBuild ? built : buildNow);
  scripts.catch(() => {
    scripts = undefined;
  });
  return scripts;
}

/** A script by its mode. */
type Source = (mode: string) => Promise<string>;

const fileOf = (mode: string): string => (mode === "modules" ? "modules.json" : `${mode}.js`);

async function collect(source: Source): Promise<HandoffScripts> {
  const [modules, engine, loader, visits, check] = await Promise.all(
    (["modules", ...standalone] as const).map((mode) => source(mode)),
  );
  if (!modules || !engine || !loader || !visits || !check)
    throw new Error("The handoff’s scripts are empty. Run npm run build, then try again.");
  return { modules: JSON.parse(modules), engine, loader, visits, check };
}

/** Reads a script that was built with the tool. */
const built: Source = async (mode) => readFileSync(join(repository, "dist/handoff", fileOf(mode)), "utf8");

/** Builds a script from the sources. */
const buildNow: Source = async (mode) => {
  const { build } = await import("vite");
  const result = await build({
    configFile: join(repository, "vite.handoff.config.ts"),
    mode,
    logLevel: "silent",
    build: { write: false },
  });
  const [first] = Array.isArray(result) ? result : [result];
  const files = first && "output" in first ? first.output : [];
  const wanted = files.find(({ fileName }) => fileName === fileOf(mode));
  if (!wanted) throw new Error(`The handoff’s scripts (${mode}) couldn’t be built. Run npm ci, then try again.`);
  return wanted.type === "chunk" ? wanted.code : String(wanted.source);
};
