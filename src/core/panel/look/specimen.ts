import { readCatalogue } from "../../catalogue/read.ts";
import { type DisplayName, displays } from "../../displays/displays.ts";
import { CatalogueIndex } from "../../engine/index/catalogue-index.ts";
import { LocalEngine } from "../../engine/local-engine.ts";
import type { Choices } from "../../engine/question.ts";
import type { TokenState } from "../../look/value.ts";
import type { SwatchBook } from "../../swatch/view.ts";
import { newFacet } from "../panel.ts";
import type { FacetRow } from "../panel-schema.ts";

/** Length of the words in specimens. */
export type SpecimenWords = "usual" | "short" | "long";

const vocabularies: Readonly<Record<SpecimenWords, { colours: string[]; sizes: string[]; kinds: string[] }>> = {
  usual: { colours: ["Moss", "Brick", "Chalk"], sizes: ["Small", "Large", "Huge"], kinds: ["Bowls", "Jugs", "Vases"] },
  short: { colours: ["A", "B", "C"], sizes: ["S", "L", "XL"], kinds: ["In", "On", "Up"] },
  long: {
    colours: ["Weathered copper patina green", "Unglazed terracotta", "Chalk"],
    sizes: ["Suits windowsills up to 24 cm", "Floor standing", "For two to carry"],
    kinds: ["Hand-thrown stoneware vessels", "Lamps", "Vases"],
  },
};

/** Twelve made-up products with values, and one with only a type. */
function rowsIn({ colours, sizes, kinds }: (typeof vocabularies)["usual"]): string {
  const rows = Array.from({ length: 12 }, (_, n) =>
    [
      `p${n}`,
      `Piece ${n}`,
      `${kinds[n % 3]} > ${["Tall", "Wide"][n % 2]}`,
      6 + n * 7,
      1 + (n % 5),
      colours[n % 3],
      sizes[(n * 2) % 3],
      10 + n * 5,
      ["yes", "no"][n % 2],
      `2026-0${1 + (n % 9)}-10`,
      "no",
    ].join(","),
  );
  const head = "product_id,title,category,price,rating,colour,size,height,washable,made,alone";
  return [head, ...rows, `p99,Alone,,,,,,,,,yes`].join("\n");
}

/** The data of specimens: a tiny shop, counted by the real engine. */
export interface SpecimenShop {
  engine: LocalEngine;
  swatches: SwatchBook;
}

const shops = new Map<SpecimenWords, SpecimenShop>();

/** The shop with words of a length, cached. */
export function specimenShop(words: SpecimenWords): SpecimenShop {
  const known = shops.get(words);
  if (known) return known;
  const index = new CatalogueIndex(readCatalogue(new TextEncoder().encode(rowsIn(vocabularies[words]))).catalogue);
  const colours = ["#5b7553", "#a3492f", "#f4f1e6"];
  const book = Object.fromEntries(
    vocabularies[words].colours.map((name, n) => [
      name.toLowerCase(),
      {
        colours: [colours[n] ?? "#000000"],
        mark: n === 2 ? ("#000000" as const) : ("#ffffff" as const),
        ...(n === 2 ? { outline: true as const } : {}),
      },
    ]),
  );
  const shop = { engine: new LocalEngine(index), swatches: { colour: book } };
  shops.set(words, shop);
  return shop;
}

/** A facet with a display over a suitable field of the specimens' shop, with few options. */
export function specimenRow(display: DisplayName): FacetRow {
  const { modes, specimen } = displays[display];
  return newFacet("specimen", specimen?.field ?? "size", display, modes[0], {
    start: "fixed",
    title: false,
    order: "natural",
    rangeBy: "width",
    rangeCount: 3,
    ...specimen?.settings,
  });
}

/** Number of options that a specimen shows. */
export const specimenOptions = (display: DisplayName): number => displays[display].specimen?.options ?? 1;

/** The choices that put the first option of a row into a state. */
export function specimenChoices({ field, mode }: FacetRow, state: TokenState, first: string | undefined): Choices {
  if (state === "unavailable") return { alone: { options: ["yes"] } };
  if (state !== "chosen" && state !== "chosen-hovered") return {};
  if (mode === "range")
    return { [field]: field === "rating" ? { min: 4 } : field === "price" ? { max: 40 } : { min: 20, max: 45 } };
  return first === undefined ? {} : { [field]: { options: [first] } };
}
