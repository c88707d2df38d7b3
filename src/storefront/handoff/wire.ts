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

/** Version of what a handoff's files say to its script. */
export const handoffFormat = 1;

/** The small file that names the current ones; its own name never changes. */
export const manifestName = "trellis.json";

/** The current files of a handoff, by what they are: names beside the manifest. */
export interface HandoffManifest {
  format: number;
  files: Readonly<Record<FileRole, string>>;
}

/** The files of a handoff. The engine counts. The catalogue has two parts: the fields to count, and the data on cards. */
export const fileRoles = ["script", "engine", "style", "shop", "catalogue", "cards"] as const;
export type FileRole = (typeof fileRoles)[number];

/** The source of markup, by the names of the files. */
export const drawnFrom = ({ catalogue, shop }: Pick<HandoffManifest["files"], "catalogue" | "shop">): string =>
  `${catalogue} ${shop}`;

/** Data that all pages of a shop have in common. */
export interface ShopFile {
  format: number;
  /** The fields of both parts of the catalogue, so that pages wake before those are there. */
  fields: Field[];
  name: string;
  currency: string;
  limits: BandLimits;
  bars: Bar[];
  search: SearchedField[] | undefined;
  /** Colours and pictures of the values that panels show. */
  swatches: SwatchBook;
  /** The names in queries. */
  names: QueryNames;
  /** Where products are: `{id}` and `{variant}` stand for a product's id and the number of its matching variant. */
  link: string;
  language: string;
  /** Its words; absent where they are those that the script has. */
  words?: Words;
}

/** The data of a piece of markup, as JSON in a script element that is never run. */
export interface Island {
  /** Where the files of the handoff are, as the page names it. */
  at: string;
  page: ShownPage;
  /** The files that it was drawn from; where others are current it is drawn anew. */
  drawn: string;
  /** Absent in a listing. */
  panel?: PagePanel;
  /** The answer that the panel was drawn from while nothing was chosen: its own facets, without products. */
  answers?: BandAnswer[];
}

/** An answer that holds on some bands, of the page that the panel's choices find products on. */
export type BandAnswer = Pick<Drawn, "bands" | "answer">;
