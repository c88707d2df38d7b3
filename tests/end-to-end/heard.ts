import { readFileSync } from "node:fs";
import type { Locator } from "./test.ts";

/**
 * A screen reader's data of a facet: its roles, names and states, the first of each kind. Source: the browser's own
 * accessibility tree.
 */
export async function heard(facet: Locator): Promise<string> {
  const lines = (await facet.ariaSnapshot()).split("\n");
  const said = new Map<string, string>();
  for (const line of lines) {
    const [, indent = "", what = ""] = /^(\s*)- (.*?):?$/.exec(line) ?? [];
    const [role = ""] = what.split(/[ :]/);
    if (role === "" || role === "text" || role.startsWith("/")) continue;
    // Both ends of a range are told; of options the first is as the others.
    const end = role === "slider" || role === "textbox" ? what : role;
    const key = `${indent} ${end}`;
    if (!said.has(key)) said.set(key, what);
  }
  return [...said.values()].join("; ");
}

/** The table of what is heard, by display. */
export const heardTable: ReadonlyMap<string, string> = new Map(
  readFileSync("docs/screen-reader.md", "utf8")
    .split("\n")
    .flatMap((line) => {
      const [, display, said] = /^\| `([\w-]+)` \| (.*) \|$/.exec(line) ?? [];
      return display !== undefined && said !== undefined ? [[display, said] as const] : [];
    }),
);
