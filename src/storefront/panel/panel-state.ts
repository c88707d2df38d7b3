import type { Band } from "../../core/band/band.ts";
import type { Field } from "../../core/catalogue/field.ts";
import type { Answer } from "../../core/match/answer.ts";
import type { Selection } from "../../core/match/question.ts";
import type { PanelDocument } from "../../core/panel/panel-schema.ts";
import type { Act } from "../../core/place/place.ts";
import type { SwatchBook } from "../../core/swatch/view.ts";
import type { Say } from "../words/say.ts";

/** All that a panel is drawn from. Never changed in place. */
export interface PanelState {
  /** Prefix of ids, so that several panels can stand on one page. */
  id: string;
  panel: PanelDocument;
  band: Band;
  fields: ReadonlyMap<string, Field>;
  swatches: SwatchBook;
  /** ISO 4217 code that prices are in. */
  currency: string;
  selection: Selection;
  answer: Answer;
  /** BCP 47 tag of what shoppers read. */
  language: string;
  say: Say;
  /** Row that the designer points at in the lattice. */
  marked: string | undefined;
  /** The query of the present address, of which links and the plain form keep what is not the place's. */
  query: string;
}

/** Does what a shopper has asked for. */
export type Perform = (act: Act) => void;
