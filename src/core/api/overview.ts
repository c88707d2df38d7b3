import { type InferType, string } from "yup";
import { largest } from "../catalogue/numbers/bounds.ts";
import { exact, listOf, wholeIn } from "../document/schema.ts";
import { editionSummary } from "./edition.ts";

const count = () => wholeIn(0, largest).required();

/** Progress of the work on a shop, in numbers. */
export const shopOverview = exact({
  /** Fields whose values are spelt in several ways that count separately, by their keys. */
  catalogue: exact({
    products: count(),
    variants: count(),
    fields: count(),
    clashing: listOf(string().strict().defined(), 100_000),
    mends: count(),
  }),
  panels: exact({ count: count(), facets: count() }),
  /** Findings that need no browser. */
  findings: exact({ error: count(), warning: count(), note: count() }),
  /** Values of facets with swatches or pictures, and those of them that have none yet. */
  swatches: exact({ values: count(), unset: count() }),
  /** Name of the shop's look; empty for the default one. */
  look: string().strict().defined(),
  /** Number of pages, pages with an error found without a browser, and pages with a warning but no error. */
  pages: exact({ count: count(), error: count(), warning: count() }),
  /** The newest edition and what has changed since; absent before the first. */
  edition: editionSummary
    .concat(exact({ differences: count() }))
    .optional()
    .default(undefined),
  /** Notes on previews that are not done. */
  notes: count(),
  /** Steps that are done in all documents. */
  steps: count(),
});

export type ShopOverview = InferType<typeof shopOverview>;
