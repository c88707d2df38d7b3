import { readFileSync } from "node:fs";
import { join } from "node:path";
import { isBuild, repository } from "../repository.ts";

/** The scripts that handoffs are made of. */
export interface HandoffScripts {
  /** CommonJS modules by name: `define`, `views`, each display, and those that they require. */
  modules: Readonly<Record<string, string>>;
  /** The engine, the loader and what tells visits, as scripts. */
  engine: string;
  loader: string;
  visits: string;
  check: string;
}

/** The scripts that stand alone, as the modes of `vite.handoff.config.ts`. */
const standalone = ["engine", "loader", "visits", "check"] as const;

let scripts: Promise<HandoffScripts> | undefined;

/** The scripts as they were built with the tool; built now, once, if the tool runs from its sources. */
export function handoffScripts(): Promise<HandoffScripts> {
  scripts ??= isBuild ? readScripts() : buildScripts();
  scripts.catch(() => {
    scripts = undefined;
  });
  return scripts;
}

const built = (name: string): string => readFileSync(join(repository, "dist/handoff", name), "utf8");

async function readScripts(): Promise<HandoffScripts> {
  return {
    modules: JSON.parse(built("modules.json")),
    engine: built("engine.js"),
    loader: built("loader.js"),
    visits: built("visits.js"),
    check: built("check.js"),
  };
}

async function buildScripts(): Promise<HandoffScripts> {
  const { build } = await import("vite");
  const output = async (mode: string): Promise<string> => {
    const result = await build({
      configFile: join(repository, "vite.handoff.config.ts"),
      mode,
      logLevel: "silent",
      build: { write: false },
    });
    const [first] = Array.isArray(result) ? result : [result];
    const files = first && "output" in first ? first.output : [];
    const wanted = files.find(({ fileName }) => fileName === (mode === "modules" ? "modules.json" : `${mode}.js`));
    if (!wanted) throw new Error(`The handoff’s scripts (${mode}) couldn’t be built. Run npm ci, then try again.`);
    return wanted.type === "chunk" ? wanted.code : String(wanted.source);
  };
  const [modules, ...others] = await Promise.all(["modules", ...standalone].map(output));
  const [engine, loader, visits, check] = others;
  if (!modules || !engine || !loader || !visits || !check)
    throw new Error("The handoff’s scripts are empty. Run npm ci, then try again.");
  return { modules: JSON.parse(modules), engine, loader, visits, check };
}
