import { readFileSync } from "node:fs";
import { join } from "node:path";
import { parseArgs } from "node:util";
import { editionNumber } from "../core/shop/archive/edition-manifest.ts";
import type { Site } from "../core/shop/shop-schema.ts";
import { makeHandoff, manifestName } from "../server/handoff/make.ts";
import { reportText } from "../server/handoff/report-text.ts";
import { makeWithTrial, trialFolder, trialShare } from "../server/handoff/trial.ts";
import { HttpError } from "../server/http-error.ts";
import { type Command, didYouMean } from "./command.ts";
import { intoOption, writeFiles } from "./folder.ts";
import { type GivenShop, givenShop, shopHelp, shopOptions } from "./shop.ts";
import { UsageError } from "./usage-error.ts";

/** The files for a real site. */
export const handoff: Command = {
  name: "handoff",
  about: "Writes the files for a real site: panels as HTML, a style sheet, a script and the catalogue.",
  usage:
    "trellis handoff (FOLDER | --shop SLUG) --out DIR [--edition N] [--data FILE] [--page ADDRESS]… [--at PLACE] [--link ADDRESS] [--action ADDRESS] [--name KEY=NAME]… [--card FILE] [--language TAG] [--trial N --share SHARE] [--into]",
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
    ["--trial N", "Second edition, for a share of the tabs; only with --shop"],
    ["--share SHARE", "Share of the tabs that get it", "0.5"],
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
        trial: { type: "string" },
        share: { type: "string" },
        ...shopOptions,
        ...intoOption,
      },
    });
    const { out, page: pages, at, link, action, card, language } = values;
    if (out === undefined) throw new UsageError(`Name the folder to write to with --out. Usage: ${handoff.usage}`);
    const given = await givenShop(positionals, values, handoff, "newest");
    const { whole, heights, state } = given;
    const site: Partial<Site> = {
      ...(at === undefined ? {} : { at }),
      ...(link === undefined ? {} : { link }),
      ...(action === undefined ? {} : { action }),
      ...(values.name ? { names: { ...whole.shop.site?.names, ...namesIn(values.name) } } : {}),
    };
    const trial = trialOf(values);
    const second = trial && (await givenShop(positionals, { ...values, edition: trial.edition }, handoff, "newest"));
    const wishes = { pages, language, card: card === undefined ? undefined : readText(card), site };
    const made = await (trial && second
      ? makeWithTrial(
          { whole, ...editionOf(given) },
          { whole: second.whole, ...editionOf(second) },
          trial.share,
          wishes,
        )
      : makeHandoff(whole, { ...wishes, ...editionOf(given), heights })
    ).catch((error: unknown) => {
      throw error instanceof HttpError ? withHint(error) : error;
    });
    // Pages that are still open go on fetching the files of the last handoff, as listed in its manifest.
    const last = new Set([...namedBy(out, ""), ...namedBy(out, trialFolder)]);
    const note = writeFiles(out, made.files, { content: "handoff", into: values.into, keep: (path) => last.has(path) });
    const which = state === undefined ? "" : state === "draft" ? "The draft. " : `Edition ${state}. `;
    const beside = trial ? `Edition ${trial.edition} for ${Math.round(trial.share * 100)}% of the tabs. ` : "";
    return { text: which + beside + reportText(made.report), status: 0, note };
  },
};

/** Number and measured heights of an edition; neither for a draft or a folder. */
const editionOf = ({ state, measured }: GivenShop) => (typeof state === "number" ? { edition: state, measured } : {});

function namesIn(given: readonly string[]): Record<string, string> {
  return Object.fromEntries(
    given.map((one) => {
      const at = one.indexOf("=");
      if (at < 1) throw new UsageError(`--name must be KEY=NAME, not “${one}”.`);
      return [one.slice(0, at), one.slice(at + 1)];
    }),
  );
}

/** The second edition and the share of the tabs that get it. @throws UsageError */
function trialOf(given: {
  trial?: string;
  share?: string;
  shop?: string;
}): { edition: string; share: number } | undefined {
  if (given.trial === undefined) {
    if (given.share !== undefined) throw new UsageError("--share needs a second edition: name it with --trial.");
    return undefined;
  }
  if (given.shop === undefined)
    throw new UsageError("--trial names an edition of the database: name the shop with --shop.");
  if (editionNumber(given.trial) === undefined)
    throw new UsageError(`--trial must be the number of an edition, not “${given.trial}”.`);
  const share = trialShare(given.share);
  if (share === undefined) throw new UsageError(`--share must be a number between 0 and 1, not “${given.share}”.`);
  return { edition: given.trial, share };
}

/** The paths of the files listed in the manifest of a folder of a handoff; none if it is not readable. */
function namedBy(out: string, folder: string): string[] {
  try {
    const { files } = JSON.parse(readFileSync(join(out, folder, manifestName), "utf8"));
    return Object.values(files).map((name) => folder + name);
  } catch {
    return [];
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
