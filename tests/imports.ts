import { existsSync, readdirSync, readFileSync } from "node:fs";
import { dirname, join, normalize } from "node:path";

/** Of every source file, the files that it imports, types included. Paths are relative to the repository. */
export type Imports = ReadonlyMap<string, ReadonlySet<string>>;

/** An import, an export from elsewhere, or an import on demand, of a file of ours. */
const importing = /(?:\bfrom|\bimport)\s*\(?\s*["'](\.[^"'?]+)["']/g;

/** The imports of all files below a folder; tests and declarations are left out. */
export function importsBelow(folder: string): Imports {
  const files = readdirSync(folder, { recursive: true, encoding: "utf8" })
    .filter((name) => /(?<!\.d|\.test)\.tsx?$/.test(name))
    .map((name) => join(folder, name));
  return new Map(
    files.map((file) => {
      const named = [...readFileSync(file, "utf8").matchAll(importing)].map(([, path = ""]) =>
        normalize(join(dirname(file), path)),
      );
      return [file, new Set(named.filter((path) => /\.tsx?$/.test(path) && existsSync(path)))] as const;
    }),
  );
}

/** The same between groups of files. @param groupOf the group of a file; undefined for one that is in none */
export function between(imports: Imports, groupOf: (file: string) => string | undefined): Imports {
  const groups = new Map<string, Set<string>>();
  for (const [file, others] of imports) {
    const group = groupOf(file);
    if (group === undefined) continue;
    const known = groups.get(group) ?? new Set<string>();
    groups.set(group, known);
    for (const other of others) {
      const target = groupOf(other);
      if (target !== undefined && target !== group) known.add(target);
    }
  }
  return groups;
}

/** A way along imports that comes back to where it began; undefined where there is none. */
export function circleIn(imports: Imports): string[] | undefined {
  const done = new Set<string>();
  const way: string[] = [];
  const visit = (node: string): string[] | undefined => {
    const at = way.indexOf(node);
    if (at >= 0) return [...way.slice(at), node];
    if (done.has(node)) return undefined;
    way.push(node);
    for (const next of imports.get(node) ?? []) {
      const found = visit(next);
      if (found) return found;
    }
    way.pop();
    done.add(node);
    return undefined;
  };
  for (const node of imports.keys()) {
    const found = visit(node);
    if (found) return found;
  }
  return undefined;
}
