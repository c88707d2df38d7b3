import { readdirSync } from "node:fs";
import { join } from "node:path";
import type { Browser } from "@playwright/test";
import { HandoffSite } from "../tests/handoff-site.ts";
import { serveFiles } from "../tests/static-server.ts";
import { loads } from "./phone.ts";

/** When a page of a foreign site with a handoff on it is awake, and when it counts by itself. Ms and kB as for a page. */
export interface HandoffCase {
  name: string;
  awake_ms: number;
  awake_kb: number;
  counts_ms: number;
  lcp_ms: number;
}

/**
 * A foreign site with the handoff of a shop's front page on it, and what reads that page's pieces of markup.
 * @param origin of the tool that has the shop @param css the site's own style sheet
 */
export async function handedOver(origin: string, shop: string, css = "") {
  const site = await HandoffSite.fetched(origin, shop);
  site.handOver("trellis", "--at", "/trellis/", "--page", "/");
  site.put("site.css", css);
  site.put("icon.svg", '<svg xmlns="http://www.w3.org/2000/svg"/>');
  const folder = "trellis/pages/index";
  const first = readdirSync(join(site.root, folder)).find((file) => !/^listing|[.]form[.]/.test(file)) ?? "";
  const piece = (file: string) => site.piece(`${folder}/${file}`);
  return { site, head: site.piece("trellis/head.html"), panel: piece(first), listing: piece("listing.html") };
}

/** The shop's front page on a foreign site, with its first panel and a listing. @param origin of the tool that has the shop */
export async function benchHandoff(browser: Browser, name: string, origin: string, shop: string): Promise<HandoffCase> {
  const { site, head, panel, listing } = await handedOver(origin, shop);
  site.page("page.html", head, panel + listing);
  const server = await serveFiles({ "/demo/": "demo", "/": site.root }, { packed: true });
  try {
    const address = `${server.origin}/page.html`;
    const first = 'document.querySelector("trellis-panel")';
    const { awake, bytes, lcp } = await loads(browser, address, `${first}?.selection`);
    const counts = await loads(browser, address, `${first}?.found?.().length`);
    return { name, awake_ms: awake, awake_kb: bytes / 1000, counts_ms: counts.awake, lcp_ms: lcp };
  } finally {
    await server.close();
  }
}
