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

/** The state shared by all panels of a page and its listing. Immutable. */
export interface Shared {
  band: Band;
  fields: ReadonlyMap<string, Field>;
  swatches: SwatchBook;
  /** ISO 4217 code of prices. */
  currency: string;
  selection: Selection;
  answer: Answer;
  /** BCP 47 tag of the shopper's language. */
  language: string;
  say: Say;
  /** The present address's query; links and the plain form keep the parameters that don't belong to the place. */
  query: string;
  /** Prefix of every address of the shop, like `/shop/nursery`. */
  base: string;
  /** The facet rows of all panels of the page. */
  rows: readonly FacetRow[];
  /** The page's facets in the engine's form. */
  asked: readonly Facet[];
  /** The site's names in queries, where they differ. */
  names: QueryNames;
}

/** The query of a place, with its `?`; empty if there is nothing to express. */
export const queryTo = ({ fields, query, asked, names }: Shared, place: BrowseState): string =>
  toAddress(place, (key) => fields.get(key), query, asked, names);

/** Everything a panel is rendered from. */
export interface PanelState extends Shared {
  /** Prefix of ids, since a page may have several panels. */
  id: string;
  panel: PanelDocument;
  /** Its place in addresses. */
  slug: string;
  /** Row that the designer points at in the lattice. */
  marked: string | undefined;
  /** How the panel behaves on this band. */
  behaviour: Behaviour;
  /** Address of the other page of the shop that receives its choices. */
  leadsTo?: string | undefined;
  /** Choices wait for a button. */
  waits: boolean;
  /** The first choice leads to another page. */
  leaves: boolean;
  /** The answer belongs to the present selection rather than an earlier one. */
  counted: boolean;
}

/** Performs a shopper's act. */
export type Perform = (act: Act) => void;
