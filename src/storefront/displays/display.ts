import type { ComponentType } from "preact";
import type { Field } from "../../core/catalogue/field.ts";
import type { FieldProfile } from "../../core/evidence/profile.ts";
import type { RangePair } from "../../core/match/answer.ts";
import type { Choice, Mode } from "../../core/match/selection.ts";
import type { DisplayName, FacetRow } from "../../core/panel/document.ts";

/** One option as a display draws it. */
export interface OptionView {
  id: string;
  label: string;
  /** Products that it leads to, or undefined when the facet shows no counts. */
  count: number | undefined;
  chosen: boolean;
  /** Leads nowhere and is shown faded; it cannot be chosen. */
  faded: boolean;
  /** Up to four colours, when the swatch book knows them. */
  colours: readonly string[] | undefined;
}

/** What every display is given. */
export interface DisplayProps {
  row: FacetRow;
  field: Field;
  /** What shoppers read above the facet, for naming controls. */
  label: string;
  /** Unique on the page; prefix of ids. */
  id: string;
  /** In the order shown, dead ends already dropped where the designer wants that. Empty for a range. */
  options: readonly OptionView[];
  choice: Choice | undefined;
  range: RangePair | undefined;
  /** Takes an option in or out, as the facet's mode has it. */
  toggle(option: string): void;
  /** Replaces the choice; undefined clears it. */
  choose(choice: Choice | undefined): void;
  /** A number of this field as shoppers read it. */
  format(value: number): string;
}

/** One way to show a facet: what it suits, which modes it can carry, and its view. */
export interface Display {
  name: DisplayName;
  /** What the designer reads. */
  label: string;
  /** Modes that it can carry; the first is taken when the facet's own is not among them. */
  modes: readonly Mode[];
  /** Undefined when it suits the field; otherwise why not and what to do, in one sentence. */
  unsuited(profile: FieldProfile): string | undefined;
  /** The options; the facet around it draws the title. */
  View: ComponentType<DisplayProps>;
}
