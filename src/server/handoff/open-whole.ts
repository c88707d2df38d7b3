import { pageList } from "../../core/page/page-list.ts";
import { facetRows } from "../../core/panel/panel.ts";
import type { WholeShop } from "../../core/shop/archive/whole-shop.ts";
import { languagesOf } from "../../core/shop/languages.ts";
import { withPicturesAt } from "../../core/shop/pictures.ts";
import type { Site } from "../../core/shop/shop-schema.ts";
import { siteFault } from "../../core/shop/site.ts";
import type { PagePanel } from "../../storefront/page/page-panel.ts";
import type { Boot } from "../../storefront/shop/boot.ts";
import { HttpError } from "../http-error.ts";
import { type BootShop, bootOf, openShop } from "../shop-boot.ts";
import { Catalogues, type LoadedCatalogue } from "../store/catalogues.ts";
import { wholeSource } from "../store/whole-source.ts";

/** A shop opened for drawing, with everything of its catalogue. */
export type WholeBoot = BootShop & Pick<LoadedCatalogue, "facts">;

/** Opens a whole shop for drawing, with pictures at the handoff's addresses. */
export async function openWhole(whole: WholeShop, site: Site, language: string | undefined): Promise<WholeBoot> {
  const source = wholeSource({
    key: "handoff",
    state: "draft",
    shop: { id: 0, slug: "shop", name: whole.name, currency: whole.currency, variantCount: 0 },
    open: async () => whole,
    placed: (document) => withPicturesAt(document, (picture) => `${site.at}pictures/${picture}`),
  });
  const known = languagesOf(whole.shop);
  if (language !== undefined && !known.includes(language))
    throw new HttpError(422, `The shop is not in the language “${language}”. It is in ${known.join(", ")}.`);
  const catalogues = new Catalogues();
  const open = await openShop(source, catalogues, "", language);
  return { ...open, site, facts: (await catalogues.get(source)).facts };
}

/** The requested pages with panels. @throws HttpError for an unknown page, or if none has a panel */
export async function bootsOf(open: BootShop, wanted: readonly string[] | undefined): Promise<Boot[]> {
  const all = pageList(open.pages, open.served.pageFacts()).map(({ address }) => address);
  const gone = wanted?.find((address) => !all.includes(address));
  if (gone !== undefined) throw new HttpError(422, `This shop has no page ${gone}.`, { page: gone, pages: all });
  const boots: Boot[] = [];
  for (const address of wanted ?? all) {
    const boot = await bootOf(open, address, { panel: undefined, stage: false });
    if (boot && boot.panels.length > 0) boots.push(boot);
  }
  if (boots.length === 0)
    throw new HttpError(
      422,
      "None of these pages has a panel, so there is nothing to hand over. Place a panel under Pages first.",
    );
  return boots;
}

/** @throws HttpError if the panels' fields and the site's settings don't fit */
export function checkSite(site: Site, panels: readonly PagePanel[]): void {
  const fault = siteFault(site, new Set(panels.flatMap(({ panel }) => facetRows(panel).map(({ field }) => field))));
  if (fault) throw new HttpError(422, fault);
}
