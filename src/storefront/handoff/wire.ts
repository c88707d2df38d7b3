import type { Field } from "../../core/catalogue/field.ts";
import type { SearchedField } from "../../core/engine/index/search-schema.ts";
import type { QueryNames } from "../../core/page/browse-state/address.ts";
import type { Bar } from "../../core/page/pages-schema.ts";
import type { ShownPage } from "../../core/page/shown-page.ts";
import type { BandLimits } from "../../core/settings/band.ts";
import type { SwatchBook } from "../../core/swatch/view.ts";
import type { Drawn } from "../page/first-answers.ts";
import type { PagePanel } from "../page/page-panel.ts";
import type { Words } from "../words/say.ts";

/** Version of the format of a handoff's files. */
export const handoffFormat = 1;

/** The file that lists the current ones; its own name never changes. */
export const manifestName = "trellis.json";

/** A second edition beside the current one, which a share of the tabs get. */
export interface HandoffTrial {
  /** Its folder, relative to the manifest. */
  at: string;
  /** Between 0 and 1. */
  share: number;
}

/** The current files of a handoff by role, relative to the manifest. */
export interface HandoffManifest {
  format: number;
  trial?: HandoffTrial;
  files: Readonly<Record<FileRole, string>>;
  /** The hashes by which a browser refuses other files. */
  integrity: Readonly<Record<CheckedRole, string>>;
}

/**
 * A handoff's files by role, with their names before a hash of the content is added. The catalogue has two parts: fields
 * to count, and data on cards.
 */
export const baseNames = {
  script: "trellis.js",
  early: "early.js",
  engine: "engine.js",
  style: "trellis.css",
  shop: "shop.json",
  catalogue: "catalogue.bin",
  cards: "cards.bin",
  pieces: "pieces.json",
  visits: "visits.js",
  check: "check.js",
} as const;
export type FileRole = keyof typeof baseNames;
/** The files that elements load; the others are in the page's head. */
export type LoadedRole = Exclude<FileRole, "early">;

/** The files that a browser checks against the manifest. */
export const checkedRoles = ["script", "style", "visits", "check"] as const satisfies readonly FileRole[];
export type CheckedRole = (typeof checkedRoles)[number];

/** By the address of a page, its pieces of markup by name, each with a hash of its content. */
export type PieceList = Readonly<Record<string, Readonly<Record<string, string>>>>;

/** The name of a piece in one of the shop's languages; its own has none. A slug never contains a dot. */
export const pieceIn = (piece: string, language: string | undefined): string =>
  language === undefined ? piece : `${piece}.${language}`;

/** The folder of a page's markup. */
export const folderOf = (address: string): string => `pages${address === "/" ? "/index" : address}`;

/** Identifies what markup is drawn from, by file names. */
export const drawnFrom = ({ catalogue, shop }: Pick<HandoffManifest["files"], "catalogue" | "shop">): string =>
  `${catalogue} ${shop}`;

/** Data shared by all pages of a shop. */
export interface ShopFile {
  format: number;
  /** The fields of both parts of the catalogue, so that panels can start before those have loaded. */
  fields: Field[];
  name: string;
  /** Number of the edition; absent for anything else. */
  edition?: number | undefined;
  currency: string;
  limits: BandLimits;
  bars: Bar[];
  search: SearchedField[] | undefined;
  /** Swatches of the values in panels. */
  swatches: SwatchBook;
  /** The names in queries. */
  names: QueryNames;
  /**
   * Address of products: `{id}` and `{variant}` are replaced by a product's id and the number of its matching variant.
   */
  link: string;
  language: string;
  /** Its words; absent if the script contains them. */
  words?: Words;
  /** By the shop's further languages, their words. */
  spoken?: Readonly<Record<string, Words>>;
}

/** The data of a piece of markup, as JSON in an inert script element. */
export interface Island {
  /** Address of the handoff's files. */
  at: string;
  page: ShownPage;
  /** BCP 47 tag of its language; absent for the shop's own. */
  language?: string;
  /** Identifies the files it was drawn from; if others are current, it is drawn anew. */
  drawn: string;
  /** Absent in a listing. */
  panel?: PagePanel;
  /** The answers that the panel was drawn from without a selection: its own facets, without products. */
  answers?: BandAnswer[];
}

/** An answer for some bands, about the page filtered by the panel. */
export type BandAnswer = Pick<Drawn, "bands" | "answer">;
