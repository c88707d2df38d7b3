import Papa from "papaparse";
import { type Catalogue, titleOf } from "../catalogue/catalogue.ts";
import { productLink } from "./product-link.ts";

/** The ids by which a site names products, as CSV (RFC 4180): id, title, and address on the site. */
export function idList(catalogue: Catalogue, link: string): string {
  const rows = catalogue.productIds.map((id, product) => [id, titleOf(catalogue, product), productLink(link, id)]);
  return `${Papa.unparse([["id", "title", "address"], ...rows])}\r\n`;
}
