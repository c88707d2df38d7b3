import type { DemoProduct } from "./nursery.ts";

const escaped = (text: string): string =>
  text.replaceAll("&", "&amp;").replaceAll("<", "&lt;").replaceAll('"', "&quot;");

const titleOf = ({ rows }: DemoProduct): string => rows[0]?.title ?? "";

/** The stand-in site's own list of all products: markup of its own, in an order of its own. */
export function stockPage(template: string, products: readonly DemoProduct[]): string {
  const titled = [...products].sort((a, b) => titleOf(a).localeCompare(titleOf(b), "en"));
  const rows = titled.map(({ id, rows: variants }) => {
    const prices = variants.map(({ price }) => Number(price)).filter((price) => price > 0);
    const least = Math.min(...prices);
    const more = prices.some((price) => price > least) ? "from " : "";
    const price = prices.length === 0 ? "" : `${more}€${least.toFixed(2)}`;
    return `<tr id="${id}" data-trellis-product="${id}"><td>${id}</td><td>${escaped(variants[0]?.title ?? "")}</td><td>${price}</td></tr>`;
  });
  return template.replace("<!-- rows -->", rows.join("\n"));
}
