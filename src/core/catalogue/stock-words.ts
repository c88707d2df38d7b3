import { type Availability, inStock, outOfStock } from "./availability.ts";
import { parseNumber } from "./field-kinds.ts";
import { identity } from "./identity.ts";
import { noWords, yesWords } from "./yes-no.ts";

/**
 * Known words of stock columns, by identity without spaces, dashes and underscores. Other words say nothing: a
 * pre-order or back-order is neither in stock nor sold out. Source of the English compounds: schema.org,
 * ItemAvailability; the others: common practice, no source.
 */
const there = [
  ...["instock", "available", "availablenow", "onhand", "readytoship", "limitedavailability", "onlineonly", "lowstock"],
  ...["auflager", "vorrätig", "verfügbar", "lieferbar", "sofortlieferbar", "lagernd", "sofortverfügbar"],
  ...["enstock", "disponible", "endisponibilité"],
  ...["enexistencia", "enexistencias", "hayexistencias", "haystock"],
  ...["disponibile", "inmagazzino", "disponibilesubito"],
  ...["opvoorraad", "voorradig", "leverbaar", "beschikbaar", "directleverbaar"],
  ...["在庫あり", "在庫有り", "販売中", "متوفر", "متاح"],
];
const gone = [
  ...["outofstock", "soldout", "unavailable", "notavailable", "notinstock", "nostock", "discontinued", "outstock"],
  ...["nichtauflager", "nichtvorrätig", "nichtverfügbar", "nichtlieferbar", "ausverkauft", "vergriffen"],
  ...["épuisé", "enrupture", "enrupturedestock", "rupturedestock", "indisponible", "nondisponible", "horsstock"],
  ...["agotado", "sinexistencias", "sinstock", "nodisponible", "agotada"],
  ...["esaurito", "esaurita", "nondisponibile", "nonmagazzino", "terminato"],
  ...["nietopvoorraad", "uitverkocht", "nietbeschikbaar", "nietleverbaar", "nietvoorradig"],
  ...["在庫なし", "在庫無し", "売り切れ", "品切れ", "غيرمتوفر", "نفد", "نفدتالكمية"],
];
const words: ReadonlyMap<string, Availability> = new Map([
  ...there.map((word) => [word, inStock] as const),
  ...gone.map((word) => [word, outOfStock] as const),
]);
const ambiguous: ReadonlyMap<string, Availability> = new Map([
  ...yesWords.map((word) => [word, inStock] as const),
  ...noWords.map((word) => [word, outOfStock] as const),
]);
const longest = 60;

/** The bare name of a schema.org term; any other text unchanged. */
export const withoutSchema = (text: string): string => text.replace(/^(?:https?:\/\/)?schema\.org\//, "");

/** Reads a word that itself means a state of stock; undefined for a number, for yes and no, and for any other text. */
export function stockWord(text: string): Availability | undefined {
  if (text.length > longest) return undefined;
  const plain = withoutSchema(identity(text)).replace(/[\s_.-]/g, "");
  return words.get(plain);
}

/** Reads a cell of a stock column: a number, a known word, or yes or no; undefined for anything else. */
export function availabilityOf(text: string): Availability | undefined {
  const amount = parseNumber(text);
  if (!Number.isNaN(amount)) return amount > 0 ? inStock : outOfStock;
  return stockWord(text) ?? ambiguous.get(identity(text));
}
