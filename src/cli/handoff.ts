import { readFileSync } from "node:fs";
import { join } from "node:path";
import { parseArgs } from "node:util";
import type { Site } from "../core/shop/shop-schema.ts";
import { makeHandoff, manifestName } from "../server/handoff/make.ts";
import { reportText } from "../server/handoff/report-text.ts";
import { HttpError } from "../server/http-error.ts";
import { type Command, didYouMean } from "./command.ts";
import { intoOption, writeFiles } from "./folder.ts";
import { givenShop, shopHelp, shopOptions } from "./shop.ts";
import { UsageError } from "./usage-error.ts";

/** The files for a real site. */
export const handoff: Command = {
  name: "handoff",
  about: "Writes the files for a real site: panels as HTML, a style sheet, a script and the catalogue.",
  usage:
    "trellis handoff (FOLDER | --shop SLUG) --out DIR [--edition N] [--data FILE] [--page ADDRESS]… [--at PLACE] [--link ADDRESS] [--action ADDRESS] [--name KEY=NAME]… [--card FILE] [--language TAG] [--into]",
  options: [
    ...shopHelp("the newest edition"),
    ["--out DIR", "Folder to write into"],
    ["--page ADDRESS", "Page to write; can be given several times", "all pages with a panel"],
    ["--at PLACE", "Where the files will be on the site", "the shop’s, or /trellis/"],
    ["--link ADDRESS", "Product address, with {id} and {variant}"],
    ["--action ADDRESS", "Send choices to this address instead of listing products"],
    ["--name KEY=NAME", "Name of a field in the site’s addresses; can be given several times"],
    ["--card FILE", "HTML of the site’s own product card"],
    ["--language TAG", "Only this language of the shop", "all of them"],
    ["--into", "Write into a folder that contains other files"],
  ],
  example: "trellis handoff --shop larkmoss-nursery --out ./public/trellis --at /trellis/",
  async run(args) {
    const { values, positionals } = parseArgs({
      args,
      allowPositionals: true,
      options: {
        out: { type: "string" },
        page: { type: "string", multiple: true },
        at: { type: "string" },
        link: { type: "string" },
        action: { type: "string" },
        name: { type: "string", multiple: true },
        card: { type: "string" },
        language: { type: "string" },
        ...shopOptions,
        ...intoOption,
      },
    });
    const { out, page: pages, at, link, action, card, language } = values;
    if (out === undefined) throw new UsageError(`Name the folder to write to with --out. Usage: ${handoff.usage}`);
    const { whole, heights, state } = await givenShop(positionals, values, handoff, "newest");
    const site: Partial<Site> = {
      ...(at === undefined ? {} : { at }),
      ...(link === undefined ? {} : { link }),
      ...(action === undefined ? {} : { action }),
      ...(values.name ? { names: { ...whole.shop.site?.names, ...namesIn(values.name) } } : {}),
    };
    const made = await makeHandoff(whole, {
      pages,
      site,
      heights,
      edition: typeof state === "number" ? state : undefined,
      language,
      card: card === undefined ? undefined : readText(card),
    }).catch((error: unknown) => {
      throw error instanceof HttpError ? withHint(error) : error;
    });
    // Pages that are still open go on fetching the files of the last handoff, as listed in its manifest.
    const last = namedBy(join(out, manifestName));
    const note = writeFiles(out, made.files, { content: "handoff", into: values.into, keep: (path) => last.has(path) });
    const which = state === undefined ? "" : state === "draft" ? "The draft. " : `Edition ${state}. `;
    return { text: which + reportText(made.report), status: 0, note };
  },
};

function namesIn(given: readonly string[]): Record<string, string> {
  return Object.fromEntries(
    given.map((one) => {
      const at = one.indexOf("=");
      if (at < 1) throw new UsageError(`--name must be KEY=NAME, not “${one}”.`);
      return [one.slice(0, at), one.slice(at + 1)];
    }),
  );
}

/** The files listed in a handoff's manifest; none if there is no readable manifest. */
function namedBy(manifest: string): ReadonlySet<unknown> {
  try {
    return new Set(Object.values(JSON.parse(readFileSync(manifest, "utf8")).files));
  } catch {
    return new Set();
  }
}

function readText(file: string): string {
  try {
    return readFileSync(file, "utf8");
  } catch {
    throw new UsageError(`${file} can’t be read. Check the name.`);
  }
}

/** Adds the page that was probably meant to the error about a missing page. */
function withHint(fault: HttpError): Error {
  const { page, pages } = fault.detail;
  return typeof page === "string" && Array.isArray(pages)
    ? new UsageError(`${fault.message}${didYouMean(page, pages)}`)
    : fault;
}
