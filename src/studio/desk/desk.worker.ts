import { expose } from "comlink";
import type { Mend } from "../../core/catalogue/mend/mend-schema.ts";
import type { Facet, Selection, WireQuestion } from "../../core/engine/question.ts";
import type { VariantQuery } from "../../core/engine/variants.ts";
import type { Known } from "../../core/findings/findings.ts";
import type { PagesDocument } from "../../core/page/pages-schema.ts";
import type { PanelDocument } from "../../core/panel/panel-schema.ts";
import type { CountedOptions, CountedProducts } from "../../core/recount/recount.ts";
import { Desk } from "./desk.ts";

let desk: Desk | undefined;

function opened(): Desk {
  if (!desk) throw new Error("The catalogue isn’t loaded yet. Try again in a moment.");
  return desk;
}

const served = {
  /** Fetches a catalogue and opens it. @throws Error with what went wrong */
  async open(address: string, mends: readonly Mend[], collections: PagesDocument["collections"]) {
    const response = await fetch(address);
    if (!response.ok)
      throw new Error(
        (await response.json().catch(() => ({}))).error ?? `The catalogue could not be fetched (${response.status}).`,
      );
    desk = Desk.open(new Uint8Array(await response.arrayBuffer()), mends, collections);
    return desk.overview();
  },
  mend(mends: readonly Mend[], collections: PagesDocument["collections"]) {
    opened().mend(mends, collections);
    return opened().overview();
  },
  detail: (key: string) => opened().detail(key),
  modeExample: (facet: Facet) => opened().modeExample(facet),
  findings: (panel: PanelDocument, selection: Selection, known: Known) => opened().findings(panel, selection, known),
  matchFacets: (panel: PanelDocument) => opened().matchFacets(panel),
  carryPanel: (panel: PanelDocument, to: ReadonlyMap<string, string>) => opened().carryPanel(panel, to),
  page: (address: string, pages: PagesDocument, first: string | undefined) => opened().page(address, pages, first),
  target: (panel: Pick<PanelDocument, "behaviour">, pages: PagesDocument) => opened().target(panel, pages),
  figures: (addresses: readonly string[], pages: PagesDocument, panels: ReadonlyMap<string, PanelDocument>) =>
    opened().figures(addresses, pages, panels),
  pageList: (pages: PagesDocument) => opened().pageList(pages),
  recountProducts: (ways: readonly CountedProducts[]) => opened().recountProducts(ways),
  countedOnPage: (address: string, pages: PagesDocument, panel: PanelDocument, row: string) =>
    opened().countedOnPage(address, pages, panel, row),
  recountOptions: (counted: CountedOptions) => opened().recountOptions(counted),
  answer: (question: WireQuestion) => opened().answer(question),
  count: (query: VariantQuery) => opened().count(query),
  rows: (query: VariantQuery, from: number, size: number, keys: readonly string[]) =>
    opened().rows(query, from, size, keys),
  pictures: (key: string, most: number) => opened().pictures(key, most),
  products: (query: VariantQuery) => opened().products(query),
};
export type DeskService = typeof served;

expose(served);
