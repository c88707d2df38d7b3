import type { InferType } from "yup";
import { checkValue, exact, listOf, numberIn, oneOf, record, someText, wholeIn } from "../document/schema.ts";
import type { Measure } from "../findings/measure.ts";
import type { PanelDocument } from "../panel/panel-schema.ts";
import { type Band, bands } from "../settings/band.ts";
import { readJsonFile } from "../shop/archive/read-folder.ts";
import type { ShopFiles } from "../shop/archive/shop-files.ts";
import { stableJson } from "../shop/archive/stable-json.ts";
import { seededRandom } from "./seeded-random.ts";

/** Path of measured heights in a shop's folder. */
export const heightsName = "heights.json";

const px = () => numberIn(0, 1_000_000).required();

const measure = exact({
  rows: record(px()),
  panel: px(),
  screen: px(),
  bars: px(),
  products: px(),
  cards: exact({ columns: px(), height: px() }).optional().default(undefined),
});

const line = exact({
  /** Address of the page. */
  page: someText(2000),
  band: oneOf(bands),
  panel: someText(500),
  /** Fingerprint of the measured panel. */
  of: someText(40),
  measure,
});

/** Heights of panels measured by a browser, for the command line, which has none. */
export const heightsSchema = exact({ format: wholeIn(1, 1).required(), heights: listOf(line, 100_000) });

export type HeightsFile = InferType<typeof heightsSchema>;

/** Fingerprint of a panel: a changed one has another. */
export const heightsState = (panel: PanelDocument): string => seededRandom(stableJson(panel)).toString(36).slice(2);

/** The measured heights in a shop's folder, if any. @throws FolderFault */
export const readHeights = (files: ShopFiles): HeightsFile | undefined =>
  files.has(heightsName)
    ? readJsonFile(files, heightsName, (value) => checkValue("file of heights", heightsSchema, value))
    : undefined;

/** Collects a page's measured heights for the shop's folder. */
export const writeHeights = (
  page: string,
  panels: ReadonlyMap<string, PanelDocument>,
  measured: Readonly<Partial<Record<Band, ReadonlyMap<string, Measure>>>>,
): HeightsFile => ({
  format: 1,
  heights: bands.flatMap((band) =>
    [...(measured[band] ?? [])].flatMap(([panel, { rows, panel: height, screen, bars, products, cards }]) => {
      const document = panels.get(panel);
      return document
        ? [
            {
              page,
              band,
              panel,
              of: heightsState(document),
              measure: { rows, panel: height, screen, bars, products, cards },
            },
          ]
        : [];
    }),
  ),
});

/** A page's measurements on a band, by panel. Panels changed since are left out. */
export const heightsOf = (
  { heights }: HeightsFile,
  page: string,
  band: Band,
  panels: ReadonlyMap<string, PanelDocument>,
): ReadonlyMap<string, Measure> =>
  new Map(
    heights.flatMap(({ page: at, band: on, panel, of, measure }) => {
      const document = panels.get(panel);
      return at === page && on === band && document && heightsState(document) === of ? [[panel, measure] as const] : [];
    }),
  );
