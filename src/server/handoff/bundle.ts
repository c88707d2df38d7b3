import { gzipSync } from "node:zlib";
import type { DisplayName } from "../../core/displays/displays.ts";
import type { CountingFile } from "../../storefront/handoff/fetch-counting.ts";
import { baseNames } from "../../storefront/handoff/wire.ts";
import { hashed, integrityOf } from "./names.ts";
import { type HandoffScripts, handoffScripts } from "./scripts.ts";

/** The scripts of a handoff: both elements with the views of the displays in use, and those that stand alone. */
export type Scripts = Omit<HandoffScripts, "modules"> & { script: string };

/** The scripts of a handoff with these displays. */
export async function bundle(displays: readonly DisplayName[]): Promise<Scripts> {
  const { modules, ...alone } = await handoffScripts();
  const names = [...new Set(displays)].sort();
  const counting: CountingFile = { name: engineName(alone.engine), integrity: integrityOf(alone.engine) };
  return { ...alone, script: joinedModules(modules, names, counting) };
}

/** The name of the engine's script. */
const engineName = (engine: string | Uint8Array): string => hashed(baseNames.engine, engine);

/** Size of a text in bytes, gzipped. */
export const gzippedSize = (text: string | Uint8Array): number => gzipSync(text, { level: 9 }).length;

const requires = /require\([`"']\.\/([\w-]+)\.js[`"']\)/g;

/** One script of the modules that are needed: each in a function, called when another first requires it. */
function joinedModules(
  modules: Readonly<Record<string, string>>,
  displays: readonly DisplayName[],
  counting: CountingFile,
): string {
  const numbers = new Map<string, number>();
  const codes: string[] = [];
  const add = (name: string): number => {
    const known = numbers.get(name);
    if (known !== undefined) return known;
    const code = modules[name];
    if (code === undefined)
      throw new Error(`The handoff’s scripts lack “${name}”. Build the tool again with npm run build, then try again.`);
    const number = numbers.size;
    numbers.set(name, number);
    codes[number] = code.replace(requires, (_, other: string) => `require(${add(other)})`);
    return number;
  };
  const [define, views] = [add("define"), add("views")];
  const put = displays.map((name) => `v(${JSON.stringify(name)},r(${add(name)}).view);`);
  return [
    "(()=>{const m=[",
    codes.map((code) => `(exports,require)=>{${code}\n}`).join(",\n"),
    "],c=[],r=n=>{if(!c[n])m[n](c[n]={},r);return c[n]};",
    `const v=r(${views}).putView;${put.join("")}r(${define}).defineElements(${JSON.stringify(counting)},new URL(".",import.meta.url).href)})();\n`,
  ].join("");
}
