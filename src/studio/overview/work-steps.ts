import type { ShopOverview } from "../../core/api/overview.ts";

/** A step of the work: its numbers, and what is to be done in it. */
export interface WorkStep {
  title: string;
  /** Address of its view, below the shop's. */
  to: string;
  /** The present state. */
  says: string;
  /** Open tasks; empty when the step is done. */
  tasks: WorkTask[];
}

/** Something to do, and where. */
export interface WorkTask {
  words: string;
  /** Address below the shop's. */
  to: string;
  /** Not begun yet, so nothing is wrong. */
  isNew?: true;
}

const counted = (n: number, one: string, many = `${one}s`): string =>
  `${n.toLocaleString("en")} ${n === 1 ? one : many}`;

/** A task, if there is anything to count. */
const some = (n: number, words: string, to: string): WorkTask[] => (n > 0 ? [{ words, to }] : []);

/** The steps of the work in order, from the catalogue to the shop's real pages. */
export function workSteps({
  catalogue,
  panels,
  findings,
  swatches,
  look,
  pages,
  edition,
  notes,
}: ShopOverview): WorkStep[] {
  const wrong = findings.error + findings.warning;
  return [
    {
      title: "Catalogue",
      to: "/catalogue",
      says: `${counted(catalogue.products, "product")}, ${counted(catalogue.variants, "variant")}, ${counted(catalogue.fields, "field")}${catalogue.mends > 0 ? `, ${counted(catalogue.mends, "correction")}` : ""}`,
      tasks: some(
        catalogue.clashing.length,
        `Merge conflicting spellings in ${counted(catalogue.clashing.length, "field")}`,
        `/catalogue?field=${encodeURIComponent(catalogue.clashing[0] ?? "")}`,
      ),
    },
    {
      title: "Panels",
      to: "/panels",
      says: `${counted(panels.count, "panel")} with ${counted(panels.facets, "facet")}`,
      tasks: some(wrong, `Check ${counted(wrong, "finding")}`, "/panels"),
    },
    {
      title: "Swatch book",
      to: "/swatches",
      says:
        swatches.values === 0
          ? "No facet shows colours or pictures"
          : `${counted(swatches.values - swatches.unset, "value")} of ${swatches.values} with a colour or a picture`,
      tasks: some(swatches.unset, `Add colours for ${counted(swatches.unset, "value")}`, "/swatches"),
    },
    {
      title: "Look",
      to: "/look",
      says: look === "" ? "The default look" : look,
      tasks:
        look === ""
          ? [{ words: "Import the shop’s style sheet, or start from a ready-made look", to: "/look", isNew: true }]
          : [],
    },
    {
      title: "Pages",
      to: "/pages",
      says: counted(pages.count, "page"),
      tasks: [
        ...some(pages.error, `Fix errors on ${counted(pages.error, "page")}`, "/pages"),
        ...some(pages.warning, `Check warnings on ${counted(pages.warning, "page")}`, "/pages"),
      ],
    },
    {
      title: "Editions",
      to: "/editions",
      says: edition === undefined ? "Not published yet" : `Shoppers see edition ${edition.n}`,
      tasks: [
        ...some(notes, `Answer ${counted(notes, "note")} on previews`, "/editions?show=previews"),
        ...(edition === undefined
          ? [{ words: "Publish: shoppers see nothing until then", to: "/editions", isNew: true as const }]
          : some(edition.differences, `Publish ${counted(edition.differences, "change")}`, "/editions")),
      ],
    },
  ];
}
