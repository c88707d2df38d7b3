import { execFileSync } from "node:child_process";
import { mkdirSync, mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { dirname, join } from "node:path";
import { tally } from "../src/cli/tally.ts";
import type { Choice, Selection } from "../src/core/engine/question.ts";
import { isRange } from "../src/core/engine/selection.ts";
import { unzipFolder } from "../src/core/shop/archive/zip.ts";

/** A site of plain files with a handoff of the demo shop in it. */
export class HandoffSite {
  /** Folder of the shop that was handed over, and of the site. */
  readonly shop: string;
  readonly root: string;

  private constructor(here: string) {
    this.shop = join(here, "shop");
    this.root = join(here, "site");
  }

  /** @param origin of the tool that has the shop, the demo shop by default */
  static async fetched(origin: string, shop = "larkmoss-nursery"): Promise<HandoffSite> {
    const site = new HandoffSite(mkdtempSync(join(tmpdir(), "trellis-handoff-")));
    const zip = await fetch(`${origin}/api/shops/${shop}/folder.zip`);
    for (const [path, bytes] of unzipFolder(new Uint8Array(await zip.arrayBuffer()))) put(join(site.shop, path), bytes);
    return site;
  }

  /** Hands the shop over into a folder of the site. */
  handOver(into: string, ...options: string[]): string {
    const args = ["dist/server/trellis.js", "handoff", this.shop, "--out", join(this.root, into), ...options];
    return execFileSync(process.execPath, args, { encoding: "utf8" });
  }

  /** A piece of the handoff. */
  piece(path: string): string {
    return readFileSync(join(this.root, path), "utf8");
  }

  /** Puts a page into the site. */
  page(path: string, head: string, body: string): void {
    put(
      join(this.root, path),
      `<!doctype html>\n<html lang="en">\n<head>\n<meta charset="utf-8">\n<meta name="viewport" content="width=device-width, initial-scale=1">\n<title>A site</title>\n<link rel="icon" href="/icon.svg">\n<link rel="stylesheet" href="/site.css">\n${head}</head>\n<body>\n<main>\n<h1>A site</h1>\n${body}</main>\n</body>\n</html>\n`,
    );
  }

  /** A file of the shop that is handed over. */
  shopFile(path: string): string {
    return readFileSync(join(this.shop, path), "utf8");
  }

  putShopFile(path: string, text: string): void {
    put(join(this.shop, path), text);
  }

  put(path: string, text: string): void {
    put(join(this.root, path), text);
  }

  /** The result of `trellis tally` for a selection, with the modes of the demo shop's panel. */
  async tally({ choices }: Selection): Promise<{ total: number; products: string[] }> {
    const picks = Object.entries(choices).flatMap(([field, choice]) => [
      "--pick",
      `${field.replaceAll("-", " ")}=${picked(choice)}`,
    ]);
    return tally([this.shop, ...picks]);
  }
}

const picked = (choice: Choice): string =>
  isRange(choice) ? `${choice.min ?? ""}..${choice.max ?? ""}` : choice.options.join("|");

function put(path: string, content: string | Uint8Array): void {
  mkdirSync(dirname(path), { recursive: true });
  writeFileSync(path, content);
}
