import type { ComponentType } from "preact";
import type { Field } from "../../../core/catalogue/field.ts";
import type { Range } from "../../../core/catalogue/numbers/range-schema.ts";
import type { RangePair } from "../../../core/engine/answer.ts";
import type { Choice } from "../../../core/engine/question.ts";
import type { FacetRow } from "../../../core/panel/panel-schema.ts";
import type { FacetSettings } from "../../../core/settings/settings.ts";
import type { SwatchView } from "../../../core/swatch/view.ts";
import type { Say } from "../../words/say.ts";

/** An option for a display. */
export interface OptionView {
  id: string;
  label: string;
  /** Number of products, or undefined if the facet shows no counts. */
  count: number | undefined;
  chosen: boolean;
  /** Finds nothing and is shown faded; it cannot be chosen. */
  faded: boolean;
  /** Its swatch, if it has one. */
  swatch: SwatchView | undefined;
}

/** A range of a facet for a display. */
export interface RangeView extends Omit<OptionView, "id" | "swatch"> {
  range: Range;
}

/** The props of every display. */
export interface DisplayProps {
  row: FacetRow;
  field: Field;
  /** The name of the field in queries, and of its inputs. */
  name: string;
  /** The settings on the present band. */
  settings: FacetSettings;
  /** The facet's title, for naming controls. */
  label: string;
  /** Unique on the page; prefix of ids. */
  id: string;
  /** In display order, without empty options if the designer drops them. Empty for a range. */
  options: readonly OptionView[];
  choice: Choice | undefined;
  range: RangePair | undefined;
  /** The ranges, in order, of a facet counted in ranges. */
  ranges: readonly RangeView[];
  /** Adds or removes an option, according to the facet's mode. */
  toggle(option: string): void;
  /** Replaces the choice; undefined clears it. */
  choose(choice: Choice | undefined): void;
  /** Number of products after a choice; undefined if it can't be asked. */
  peek(choice: Choice): number | Promise<number> | undefined;
  /** A number of this field for display. */
  format(value: number): string;
  say: Say;
  /** BCP 47 tag of the shopper's language. */
  language: string;
}

/** How one display is drawn. */
export interface DisplayView {
  /** Renders the options or the range of a facet; its title is rendered outside. */
  View: ComponentType<DisplayProps>;
  /** Its style sheets, as paths from `displays/`. The order of displays is the cascade order of their sheets. */
  sheets: readonly string[];
}
