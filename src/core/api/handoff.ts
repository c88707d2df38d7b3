import { type InferType, string } from "yup";
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

/** A preview of a handoff: its report, the tags, and its pieces of markup by path. */
export const handoffPreview = exact({
  report: handoffReport,
  head: string().strict().required(),
  pieces: listOf(string().strict().required(), 100_000),
  /** Address of a site on which the shop's newest edition stands already, where there is one. */
  seen: string().strict().optional(),
});

export type HandoffReport = InferType<typeof handoffReport>;
export type HandoffPreview = InferType<typeof handoffPreview>;

/** Target for the size of the script that runs before panels respond, for six displays, in bytes gzipped. */
export const scriptAim = 20_000;
