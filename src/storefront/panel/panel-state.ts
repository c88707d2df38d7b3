import type { Field } from "../../core/catalogue/field.ts";
import type { Answer } from "../../core/engine/answer.ts";
import type { Facet, Selection } from "../../core/engine/question.ts";
import { type QueryNames, toAddress } from "../../core/page/browse-state/address.ts";
import type { Act, BrowseState } from "../../core/page/browse-state/browse-state.ts";
import type { FacetRow, PanelDocument } from "../../core/panel/panel-schema.ts";
import type { Band } from "../../core/settings/band.ts";
import type { Behaviour } from "../../core/settings/behaviour.ts";
import type { SwatchBook } from "../../core/swatch/view.ts";
import type { Say } from "../words/say.ts";

/** The data of all panels of a page and its listing. Never changed in place. */
export interface Shared {
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
  /** The query of the present address, of which links and the plain form keep what is not the place's. */
  query: string;
  /** The beginning of every address of the shop, like `/shop/nursery`. */
  base: string;
  /** The facet rows of all panels of the page. */
  rows: readonly FacetRow[];
  /** The page's facets as the engine is asked for them. */
  asked: readonly Facet[];
  /** The names in queries where a site wants other ones. */
  names: QueryNames;
}

/** The query that leads to a place of the page, with its `?`; empty where there is nothing to say. */
export const queryTo = ({ fields, query, asked, names }: Shared, place: BrowseState): string =>
  toAddress(place, (key) => fields.get(key), query, asked, names);

/** All that one panel is drawn from. */
export interface PanelState extends Shared {
  /** Prefix of ids, so that several panels can stand on one page. */
  id: string;
  panel: PanelDocument;
  /** Its place in addresses. */
  slug: string;
  /** Row that the designer points at in the lattice. */
  marked: string | undefined;
  /** How the panel behaves on this band. */
  behaviour: Behaviour;
  /** Address of the other page that its choices are taken to, in the shop. */
  leadsTo?: string | undefined;
  /** Choices wait for a button to be pressed. */
  waits: boolean;
  /** The first choice takes the shopper to another page. */
  leaves: boolean;
  /** The answer is to what is chosen, and not still to what was before. */
  counted: boolean;
}

/** Does what a shopper has asked for. */
export type Perform = (act: Act) => void;
