import { applyMends } from "../catalogue/mend/apply.ts";
import { CatalogueIndex } from "../engine/index/catalogue-index.ts";
import { emptySelection } from "../engine/selection.ts";
import { type FindingLevel, findingLevels } from "../findings/finding.ts";
import { findFindings } from "../findings/findings.ts";
import { pageFigures } from "../findings/page/figures.ts";
import { emptyLook } from "../look/empty-look.ts";
import { pageList } from "../page/page-list.ts";
import { withCollections } from "../page/with-collections.ts";
import type { PanelDocument } from "../panel/panel-schema.ts";
import { LocalFacts } from "../profile/local-facts.ts";
import type { WholeShop } from "../shop/archive/whole-shop.ts";

/** A finding in a whole shop, with its page or panel. */
export interface Checked {
  kind: string;
  level: FindingLevel;
  /** Address of the page; absent if it concerns a panel wherever it is placed. */
  page?: string;
  /** Slug of the panel. */
  panel?: string;
  /** Row of that panel. */
  row?: string;
  words: string;
}

/** Whether a level is at or above another. */
export const isAtLeast = (level: FindingLevel, least: FindingLevel): boolean =>
  findingLevels.indexOf(level) >= findingLevels.indexOf(least);

const noLook = emptyLook("none");

/** A shop's facts, with its corrections applied and its collections added. */
export const shopFactsFor = ({
  catalogue,
  mends,
  pages,
}: Pick<WholeShop, "catalogue" | "mends" | "pages">): LocalFacts =>
  new LocalFacts(new CatalogueIndex(withCollections(applyMends(catalogue, mends.mends), pages)));

/** Every finding about a shop's panels that needs no browser, whatever their pages. */
export async function checkPanels(whole: WholeShop, facts = shopFactsFor(whole)): Promise<Checked[]> {
  const found = await Promise.all(
    whole.panels.map(async ({ slug, document }) => {
      const name = document.look ?? whole.shop.look;
      const look = name === undefined ? noLook : whole.looks.find((one) => one.slug === name)?.document;
      const findings = await findFindings(facts, document, emptySelection, { look });
      return findings.map(
        ({ kind, level, row, words }): Checked => ({ kind, level, panel: slug, ...(row ? { row } : {}), words }),
      );
    }),
  );
  return found.flat();
}

/**
 * Every finding about pages that needs no browser.
 * @param only addresses of the pages to check; all by default
 * @throws RangeError with the address of an unknown page
 */
export async function checkPages(
  whole: WholeShop,
  only?: readonly string[],
  facts = shopFactsFor(whole),
): Promise<Checked[]> {
  const panels: ReadonlyMap<string, PanelDocument> = new Map(
    whole.panels.map(({ slug, document }) => [slug, document]),
  );
  const addresses = only ?? pageList(whole.pages, await facts.pageFacts()).map(({ address }) => address);
  const checked: Checked[] = [];
  for (const address of addresses) {
    const figures = await pageFigures(facts, address, whole.pages, panels);
    if (!figures) throw new RangeError(address);
    for (const { kind, level, panel, row, words } of figures.findings)
      checked.push({ kind, level, page: address, ...(panel ? { panel } : {}), ...(row ? { row } : {}), words });
  }
  return checked;
}
