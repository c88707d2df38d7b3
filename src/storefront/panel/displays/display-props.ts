import type { ComponentType } from "preact";
import type { Field } from "../../../core/catalogue/field.ts";
import type { Range } from "../../../core/catalogue/numbers/range-schema.ts";
import type { RangePair } from "../../../core/engine/answer.ts";
import type { Choice } from "../../../core/engine/question.ts";
import type { FacetRow } from "../../../core/panel/panel-schema.ts";
import type { FacetSettings } from "../../../core/settings/settings.ts";
import type { SwatchView } from "../../../core/swatch/view.ts";
import type { Say } from "../../words/say.ts";

/** One option as a display draws it. */
export interface OptionView {
  id: string;
  label: string;
  /** Products that it leads to, or undefined if the facet shows no counts. */
  count: number | undefined;
  chosen: boolean;
  /** Leads nowhere and is shown faded; it cannot be chosen. */
  faded: boolean;
  /** Its colours or picture, when the swatch book knows them. */
  swatch: SwatchView | undefined;
}

/** One of the ranges that a facet is counted in, as a display draws it. */
export interface RangeView extends Omit<OptionView, "id" | "swatch"> {
  range: Range;
}

/** The properties of every display. */
export interface DisplayProps {
  row: FacetRow;
  field: Field;
  /** The field's name in queries, and so that of its inputs. */
  name: string;
  /** As they are on the present band. */
  settings: FacetSettings;
  /** The facet's title, for naming controls. */
  label: string;
  /** Unique on the page; prefix of ids. */
  id: string;
  /** In the order shown, dead ends already dropped where the designer wants that. Empty for a range. */
  options: readonly OptionView[];
  choice: Choice | undefined;
  range: RangePair | undefined;
  /** Of a facet that is counted in ranges, in their order. */
  ranges: readonly RangeView[];
  /** Takes an option in or out, as the facet's mode has it. */
  toggle(option: string): void;
  /** Replaces the choice; undefined clears it. */
  choose(choice: Choice | undefined): void;
  /** How many products a choice would lead to, before it is made; undefined if that cannot be asked. */
  peek(choice: Choice): number | Promise<number> | undefined;
  /** A number of this field as shoppers read it. */
  format(value: number): string;
  say: Say;
  /** BCP 47 tag of what shoppers read. */
  language: string;
}

/** How one display is drawn. */
export interface DisplayView {
  /** Draws the options or the range of a facet; the facet around it draws the title. */
  View: ComponentType<DisplayProps>;
  /** Its style sheets, as paths from `displays/`. Of two displays' sheets, those of the display listed first come first. */
  sheets: readonly string[];
}
