import type { ShopOverview } from "../../core/wire/overview.ts";

/** Whether a step of the work is done, has something open, or was not begun. */
export type State = "done" | "open" | "next";

/** A step of the work, with its numbers and where it is done. */
export interface WorkStep {
  title: string;
  /** Address of its view, behind that of the shop. */
  to: string;
  state: State;
  /** What is there. */
  says: string;
  /** What is open; empty where nothing is. */
  asks: string;
}

const counted = (n: number, one: string, many = `${one}s`): string =>
  `${n.toLocaleString("en")} ${n === 1 ? one : many}`;

/** The steps of the work in their order, from the catalogue to the shop's real pages. */
export function workSteps({ catalogue, panels, findings, swatches, look, pages, edition }: ShopOverview): WorkStep[] {
  const wrong = findings.error + findings.warning;
  return [
    {
      title: "Catalogue",
      to: "/catalogue",
      state: catalogue.clashing > 0 ? "open" : "done",
      says: `${counted(catalogue.products, "product")}, ${counted(catalogue.variants, "variant")}, ${counted(catalogue.fields, "field")}${catalogue.mends > 0 ? `, ${counted(catalogue.mends, "mend")}` : ""}`,
      asks: catalogue.clashing > 0 ? `${counted(catalogue.clashing, "field")} with spellings that clash` : "",
    },
    {
      title: "Panels",
      to: "/bench",
      state: wrong > 0 ? "open" : "done",
      says: `${counted(panels.count, "panel")} with ${counted(panels.facets, "facet")}`,
      asks: [
        findings.error > 0 ? counted(findings.error, "error") : "",
        findings.warning > 0 ? counted(findings.warning, "warning") : "",
      ]
        .filter(Boolean)
        .join(", "),
    },
    {
      title: "Swatches",
      to: "/swatches",
      state: swatches.values === 0 ? "next" : swatches.unset > 0 ? "open" : "done",
      says:
        swatches.values === 0
          ? "No facet shows colours or pictures"
          : `${counted(swatches.values - swatches.unset, "value")} of ${swatches.values} with a colour or a picture`,
      asks: swatches.unset > 0 ? `${counted(swatches.unset, "value")} without one` : "",
    },
    {
      title: "Look",
      to: "/look",
      state: look === "" ? "next" : "done",
      says: look === "" ? "The usual look" : look,
      asks: look === "" ? "Bring the shop’s style sheet, or begin from a look that ships" : "",
    },
    {
      title: "Pages",
      to: "/pages",
      // Warnings leave the step done: a page need not suit every facet.
      state: pages.error > 0 ? "open" : "done",
      says: counted(pages.count, "page"),
      asks: [
        pages.error > 0 ? `Fix errors on ${counted(pages.error, "page")}` : "",
        pages.warning > 0 ? `${counted(pages.warning, "page")} with warnings` : "",
      ]
        .filter(Boolean)
        .join(", "),
    },
    {
      title: "Editions",
      to: "/editions",
      state: edition === undefined ? "next" : edition.differences > 0 ? "open" : "done",
      says: edition === undefined ? "Not yet published" : `Shoppers get edition ${edition.n}`,
      asks:
        edition === undefined
          ? "Shoppers find nothing until the first edition"
          : edition.differences > 0
            ? `${counted(edition.differences, "difference")} not yet published`
            : "",
    },
  ];
}
