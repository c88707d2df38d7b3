import type { ComponentType } from "preact";
import type { Field } from "../../core/catalogue/field.ts";
import type { FieldProfile } from "../../core/evidence/profile.ts";
import type { RangePair } from "../../core/match/answer.ts";
import type { Choice, Mode, Range } from "../../core/match/selection.ts";
import type { DisplayName, FacetRow } from "../../core/panel/document.ts";
import type { FacetSettings, SettingName } from "../../core/panel/settings.ts";
import type { SwatchView } from "../../core/swatch/view.ts";

/** One option as a display draws it. */
export interface OptionView {
  id: string;
  label: string;
  /** Products that it leads to, or undefined when the facet shows no counts. */
  count: number | undefined;
  chosen: boolean;
  /** Leads nowhere and is shown faded; it cannot be chosen. */
  faded: boolean;
  /** Its colours or picture, when the swatch book knows them. */
  swatch: SwatchView | undefined;
}

/** One band of a range as a display draws it. */
export interface BandView extends Omit<OptionView, "id" | "swatch"> {
  range: Range;
}

/** What every display is given. */
export interface DisplayProps {
  row: FacetRow;
  field: Field;
  /** As they are on the present band. */
  settings: FacetSettings;
  /** What shoppers read above the facet, for naming controls. */
  label: string;
  /** Unique on the page; prefix of ids. */
  id: string;
  /** In the order shown, dead ends already dropped where the designer wants that. Empty for a range. */
  options: readonly OptionView[];
  choice: Choice | undefined;
  range: RangePair | undefined;
  /** Of a range that is counted in bands, in their order. */
  bands: readonly BandView[];
  /** Takes an option in or out, as the facet's mode has it. */
  toggle(option: string): void;
  /** Replaces the choice; undefined clears it. */
  choose(choice: Choice | undefined): void;
  /** A number of this field as shoppers read it. */
  format(value: number): string;
}

/** One way to show a facet: what it suits, which modes it can carry, which settings it heeds, and its view. */
export interface Display {
  name: DisplayName;
  /** What the designer reads. */
  label: string;
  /** Modes that it can carry; the first is taken when the facet's own is not among them. */
  modes: readonly Mode[];
  /** Settings that it heeds beside those of every facet; see {@link commonSettings}. */
  settings: readonly SettingName[];
  /** Undefined when it suits the field; otherwise why not and what to do, in one or two sentences. */
  unsuited(profile: FieldProfile): string | undefined;
  /** The options; the facet around it draws the title. */
  View: ComponentType<DisplayProps>;
}

/** Settings of every facet, whatever its display. */
export const commonSettings: readonly SettingName[] = ["title", "start", "hint", "clearLink", "share"];
/** Settings of everything that shows options. */
export const optionSettings: readonly SettingName[] = ["counting", "deadEnd", "order"];
/** Settings of options that lie open in a list. */
export const listSettings: readonly SettingName[] = [...optionSettings, "searchInside", "foldAfter", "maxHeight", "columns", "flow"];
/** Settings of displays that show a range's ends. */
export const rangeSettings: readonly SettingName[] = ["ends", "least", "most", "step", "prefix", "suffix", "decimals"];
