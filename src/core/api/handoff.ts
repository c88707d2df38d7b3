import { boolean, type InferType, string } from "yup";
import { largest } from "../catalogue/numbers/bounds.ts";
import { displayNames } from "../displays/displays.ts";
import { exact, listOf, oneOf, wholeIn } from "../document/schema.ts";

const size = () => wholeIn(0, largest).required();

/** Contents of a handoff. Sizes are bytes, gzipped as transferred. */
export const handoffReport = exact({
  pages: wholeIn(1, largest).required(),
  panels: wholeIn(1, largest).required(),
  displays: listOf(oneOf(displayNames), displayNames.length),
  sizes: exact({ script: size(), engine: size(), style: size(), shop: size(), catalogue: size(), cards: size() }),
});

const line = () => string().strict().required();

/** A preview of a handoff: its report, and what a site's pages take of it. */
export const handoffPreview = exact({
  report: handoffReport,
  /** The tags in the head: those that never change, and those for markup in the page. */
  tags: exact({ line: line(), markup: line() }),
  /** The pages, each with the names of its pieces of markup. */
  pages: listOf(exact({ address: line(), pieces: listOf(line(), 1000) }), 100_000),
  /** Id of the shop's first product, as an example. */
  product: line(),
  /** Whether the space that panels keep free is measured, rather than estimated. */
  measured: boolean().strict().required(),
  /** Address of a site on which the shop's newest edition stands already, where there is one. */
  seen: string().strict().optional(),
});

export type HandoffReport = InferType<typeof handoffReport>;
export type HandoffPreview = InferType<typeof handoffPreview>;
