import { parseArgs } from "node:util";
import { pageList, shopAddress } from "../core/page/page-list.ts";
import type { LocalFacts } from "../core/profile/local-facts.ts";
import { assumptionList } from "../core/rehearsal/assumptions.ts";
import { compareWalks } from "../core/rehearsal/compare.ts";
import { fewestChoices } from "../core/rehearsal/fewest-choices.ts";
import { heightsOf, readHeights } from "../core/rehearsal/heights-file.ts";
import { pageScene } from "../core/rehearsal/page-scene.ts";
import { rehearsed } from "../core/rehearsal/rehearse.ts";
import { type BandReport, bandReport } from "../core/rehearsal/report.ts";
import type { Scene } from "../core/rehearsal/scene.ts";
import { summaryOf } from "../core/rehearsal/summary.ts";
import type { Walk } from "../core/rehearsal/walk.ts";
import { shopFactsFor } from "../core/report/check-shop.ts";
import { type Band, bands } from "../core/settings/band.ts";
import { readFolder } from "../core/shop/archive/read-folder.ts";
import { type Command, didYouMean, oneOf, onlyOne } from "./command.ts";
import { readFiles } from "./folder.ts";
import { UsageError } from "./usage-error.ts";

/** Maximum number of shoppers in one run. */
const maxShoppers = 100_000;

/** The number given for an option. @throws UsageError if it isn't a number or is out of bounds */
function numberOf(given: string, option: string, least: number, most: number, isWhole = true): number {
  const value = Number(given);
  const fits = given.trim() !== "" && value >= least && value <= most && (!isWhole || Number.isInteger(value));
  if (!fits)
    throw new UsageError(
      `--${option} must be a ${isWhole ? "whole " : ""}number from ${least} to ${most}, not “${given}”.`,
    );
  return value;
}

interface Opened {
  facts: LocalFacts;
  /** @param byMeasure use the heights measured by a browser, where they exist for the panels as they are now */
  scene(band: Band, byMeasure: boolean): Scene;
}

/** A shop whose page can be rehearsed. @throws UsageError if it has no such page, or no panel is on it; FolderFault */
function opened(folder: string, address: string): Opened {
  const files = readFiles(folder);
  const whole = readFolder(files);
  const heights = readHeights(files);
  const facts = shopFactsFor(whole);
  const panels = new Map(whole.panels.map(({ slug, document }) => [slug, document]));
  const addresses = pageList(whole.pages, facts.pageFacts()).map((one) => one.address);
  if (!addresses.includes(address))
    throw new UsageError(`${folder} has no page ${address}.${didYouMean(address, addresses)}`);
  return {
    facts,
    scene(band, byMeasure) {
      const measures = byMeasure && heights ? heightsOf(heights, address, band, panels) : undefined;
      const scene = pageScene(facts, address, whole.pages, panels, band, measures);
      if (!scene || scene.facets.length === 0)
        throw new UsageError(`There is no panel with a facet on ${address} of ${folder} on ${band}.`);
      return scene;
    },
  };
}

/** Trial runs through a page, and whether another state of the shop does better. */
export const rehearse: Command = {
  name: "rehearse",
  about:
    "Sends trial shoppers through a page and reports how many find their product, in how many choices and seconds.",
  usage:
    "trellis rehearse FOLDER [--page ADDRESS] [--band wide|medium|slim]… [--shoppers N] [--seed N] [--against FOLDER] [--allow SHARE]",
  options: [
    ["--page ADDRESS", "Page to rehearse", "/"],
    ["--band BAND", "wide, medium or slim; can be given several times", "wide and slim"],
    ["--shoppers N", "Number of trial shoppers", "2000"],
    ["--seed N", "The same seed sends the same shoppers", "1"],
    ["--against FOLDER", "Compare with this version of the shop, pair by pair"],
    ["--allow SHARE", "How much worse the share that finds its product may be before the exit status is 1", "0"],
  ],
  example: "trellis rehearse ./larkmoss --against ./larkmoss-before --allow 0.01",
  run(args) {
    const { values, positionals } = parseArgs({
      args,
      allowPositionals: true,
      options: {
        page: { type: "string", default: shopAddress },
        band: { type: "string", multiple: true },
        shoppers: { type: "string", default: "2000" },
        seed: { type: "string", default: "1" },
        against: { type: "string" },
        allow: { type: "string", default: "0" },
      },
    });
    const folder = onlyOne(positionals, "shop folder", rehearse);
    const on = (values.band ?? ["wide", "slim"]).map((band) => oneOf(bands, band, "band"));
    const shoppers = numberOf(values.shoppers, "shoppers", 1, maxShoppers);
    const seed = numberOf(values.seed, "seed", 0, 2 ** 31);
    const allow = numberOf(values.allow, "allow", 0, 1, false);
    const own = opened(folder, values.page);
    const other = values.against === undefined ? undefined : opened(values.against, values.page);
    const sent = ({ facts }: Opened, scene: Scene): Walk[] => rehearsed(facts.engine, scene, { shoppers, seed });
    let worse = false;
    const reports = bands
      .filter((band) => on.includes(band))
      .map((band): BandReport => {
        const scenes = (byMeasure: boolean) => [own.scene(band, byMeasure), other?.scene(band, byMeasure)] as const;
        let [scene, before] = scenes(true);
        // If one side has to be estimated, both are: comparing a measured panel with an estimated one says nothing.
        if (!scene.measured || before?.measured === false) [scene, before] = scenes(false);
        const walks = sent(own, scene);
        const fewest = fewestChoices(own.facts.engine, scene, assumptionList.first.fallback, walks);
        const report = bandReport(own.facts, scene, summaryOf(walks), fewest);
        if (!other || !before) return report;
        const against = compareWalks(sent(other, before), walks);
        worse ||= against.some(isWorse(allow));
        return { ...report, against };
      });
    return { text: JSON.stringify({ page: values.page, seed, bands: reports }, null, 2), status: worse ? 1 : 0 };
  },
};

/**
 * Whether fewer shoppers arrive, or arriving takes longer, by more than a given share; differences that may be chance
 * don't count.
 */
const isWorse =
  (allow: number) =>
  ({ measure, differs, mean, before }: ReturnType<typeof compareWalks>[number]): boolean => {
    if (!differs || measure === "px") return false;
    return measure === "arrived" ? -mean > allow : mean > allow * before;
  };
