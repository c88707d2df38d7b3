import type { PageFigures } from "../../core/findings/page/figures.ts";
import type { PanelDocument } from "../../core/panel/panel-schema.ts";
import type { OpenedNumber } from "../numbers/opened-number.ts";
import { pageName } from "../shell/page-names.ts";
import { useOpenShop, usePages } from "../shell/shop-context.ts";

/** The products of a page, as a number that opens. */
export const productsOn = (figures: PageFigures): OpenedNumber => ({
  title: `Products on ${pageName(figures)}`,
  says: "Products that the page shows before a shopper chooses anything.",
  told: figures.products,
  behind: { products: [{ within: figures.within, facets: [], text: "", ways: [{}] }] },
});

/** Numbers of a panel’s facet on a page, which open. */
export function useOpenedFacet(figures: PageFigures, panels: ReadonlyMap<string, PanelDocument>) {
  const { desk, shop } = useOpenShop();
  const pages = usePages((document) => document);
  return (slug: string, row: string, title: string) => {
    const where = pageName(figures);
    const counted = async () => {
      const panel = panels.get(slug);
      const found = panel && (await desk.countedOnPage(figures.address, pages, panel, row));
      if (!found) throw new Error(`The facet ${title} is gone.`);
      return found;
    };
    const change = {
      words: `Change ${title} with this page beside it`,
      to: `/shops/${shop.slug}/panels/${slug}?page=${encodeURIComponent(figures.address)}`,
    };
    return {
      reach: (told: number, outOf: number): OpenedNumber => ({
        title: `Reach of ${title} on ${where}`,
        says: `Products of the page that at least one option of ${title} finds. The other ${(outOf - told).toLocaleString("en")} of ${outOf.toLocaleString("en")} disappear as soon as a shopper uses it.`,
        told,
        behind: { products: counted().then(({ reach }) => reach) },
        change,
      }),
      left: (told: number): OpenedNumber => ({
        title: `Options of ${title} that ${where} leaves out`,
        says: "Options that the facet offers somewhere in the shop and that no product of this page has. They are not shown here.",
        told,
        behind: { options: counted().then(({ left }) => left) },
        change,
      }),
    };
  };
}
