import { createHash } from "node:crypto";
import {
  lstatSync,
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
import { Random } from "../../demo/random.ts";
import { runTrellis } from "../../src/cli/run.ts";
import { seedDemo } from "../../src/server/seed.ts";
import { closeDatabase, openDatabase } from "../../src/server/store/database.ts";
import { type Attack, some } from "./attack.ts";

/** Places where commands write, and where people keep files of their own. */
const places = [
  ...[
    "shop.json",
    "pages.json",
    "catalogue.csv",
    "mends.json",
    "shop.json.half",
    "README.md",
    "trellis.json",
    "notes.txt",
  ],
  ...[
    "panels/climber-finder.json",
    "panels/mine.json",
    "looks/larkmoss.json",
    "looks/holiday.json",
    "pictures/holiday.jpg",
  ],
  ...[
    "pages/about.html",
    "pages/index/listing.html",
    "schemas/panel.json",
    "deep/er/diary.txt",
    "try.html",
    "head.html",
  ],
];

/** Every entry of a tree with what is in it: hashes of files, targets of links. */
export function treeOf(root: string): Map<string, string> {
  const found = new Map<string, string>();
  const walk = (at: string) => {
    for (const name of readdirSync(join(root, at))) {
      const path = join(at, name);
      const stat = lstatSync(join(root, path));
      if (stat.isSymbolicLink()) found.set(path, `-> ${readlinkSync(join(root, path))}`);
      else if (stat.isDirectory()) {
        found.set(path, "folder");
        walk(path);
      } else
        found.set(
          path,
          createHash("sha256")
            .update(readFileSync(join(root, path)))
            .digest("hex"),
        );
    }
  };
  walk("");
  return found;
}

/** A home folder full of somebody’s files: at our own places, behind links to files and folders, and links in a circle. */
function makeHome(root: string, precious: string, random: Random): void {
  mkdirSync(root, { recursive: true });
  for (const place of places) {
    if (!random.chance(0.5)) continue;
    const path = join(root, place);
    try {
      mkdirSync(dirname(path), { recursive: true });
      const kind = random.whole(0, 9);
      if (kind === 0) symlinkSync(join(precious, "diary.txt"), path);
      else if (kind === 1) symlinkSync(join(precious, "nowhere"), path);
      else if (kind === 2) mkdirSync(path);
      else writeFileSync(path, `mine: ${place}`);
    } catch {
      // An existing file stays.
    }
  }
  for (const folder of ["panels", "looks", "pictures", "pages"]) {
    if (!random.chance(0.25)) continue;
    try {
      symlinkSync(random.chance(0.5) ? precious : root, join(root, folder));
    } catch {
      // It is a folder already.
    }
  }
}

/** Commands that write folders, over folders full of other people’s files: what is not ours is there afterwards, as it was. */
export const userFiles: Attack = {
  name: "files of others where commands write",
  async run(share) {
    const here = mkdtempSync(join(tmpdir(), "trellis-files-"));
    const failures: string[] = [];
    const tries = some(400, share);
    let [refused, written] = [0, 0];
    const said = new Set<string>();
    try {
      const data = join(here, "shops.db");
      const orm = await openDatabase(data);
      await seedDemo(orm, ".");
      await closeDatabase(orm);
      const shop = join(here, "shop");
      await runTrellis(["export", "--shop", "larkmoss-nursery", "--out", shop, "--data", data]);
      const precious = join(here, "precious");
      mkdirSync(join(precious, "pictures"), { recursive: true });
      for (const name of ["diary.txt", "mine.json", "climber-finder.json", "holiday.jpg", "about.html"])
        writeFileSync(join(precious, name), `precious: ${name}`);
      const kept = [...treeOf(precious)];
      for (let n = 0; n < tries; n++) {
        const random = new Random(n);
        const home = join(here, `home-${n}`);
        makeHome(home, precious, random);
        const into = random.chance(0.4) ? ["--into"] : [];
        const args = random.chance(0.5)
          ? ["export", "--shop", "larkmoss-nursery", "--out", home, "--data", data, ...into]
          : ["handoff", shop, "--out", home, "--page", "/", ...into];
        // Twice, so that what was written once is ours the second time.
        for (const _ of [1, 2]) {
          const before = treeOf(home);
          const { status, err } = await runTrellis(args);
          const after = treeOf(home);
          if (status === 0) written++;
          else refused++;
          if (err !== "") said.add(err.replaceAll(home, "HOME").slice(0, 40));
          if (/unexpected error|undefined|EISDIR|ELOOP/.test(err)) failures.push(`${n}: it says ${err}`);
          for (const [path, hash] of before) {
            const now = after.get(path);
            if (now === hash) continue;
            const isOurs = before.has(".trellis-shop-files.json") || before.has(".trellis-handoff-files.json");
            if (now === undefined && !isOurs) failures.push(`${n}: ${args[0]} removed ${path}`);
            else if (now === undefined && readHome(before, path)) failures.push(`${n}: ${args[0]} removed ${path}`);
            else if (into.length === 0 && !isOurs) failures.push(`${n}: ${args[0]} replaced ${path} without --into`);
            else if (hash.startsWith("->") || hash === "folder") failures.push(`${n}: ${args[0]} replaced ${path}`);
          }
          if (status !== 0 && JSON.stringify([...before]) !== JSON.stringify([...after]))
            failures.push(`${n}: ${args[0]} was refused and had changed something`);
          if (JSON.stringify([...treeOf(precious)]) !== JSON.stringify(kept)) failures.push(`${n}: behind a link`);
        }
        rmSync(home, { recursive: true, force: true });
      }
    } finally {
      rmSync(here, { recursive: true, force: true });
    }
    return {
      tries: tries * 2,
      failures,
      measured: `${written} written, ${refused} refused in ${said.size} sorts of sentences`,
    };
  },
};

/** Whether a path was somebody’s own file, by what we put into it. */
const mine = new Set(places.map((place) => createHash("sha256").update(`mine: ${place}`).digest("hex")));
const readHome = (tree: ReadonlyMap<string, string>, path: string): boolean => mine.has(tree.get(path) ?? "");
