import { hasButton, type Placement, placementFacts } from "./placement.ts";
import { byBand, choiceOfNames, is, type SparseOf, settingTable, type ValuesOf } from "./setting-facts.ts";

/** Icons for a button. */
export const buttonIcons = [
  "none",
  "lines",
  "funnel",
  "sliders",
  "upright",
  "menu",
  "search",
  "tag",
  "palette",
  "ruler",
  "own",
] as const;

/** Every setting of a panel besides its rows and placement. */
export const behaviourFacts = {
  /** Results follow every choice, or wait for a button that shows how many there would be. */
  apply: byBand(choiceOfNames(["once", "button"], "once")),
  sticky: byBand(is(false)),
  /** Fine-tune of a sticky panel's offset below the fixed bars, in CSS px. */
  nudge: byBand(is(0)),
  /** The text of the button of a drawer or a folded panel; the default word when empty. */
  buttonText: is(""),
  /** By BCP 47 tag, the same in other languages. */
  buttonTexts: is<Readonly<Record<string, string>>>({}),
  buttonIcon: choiceOfNames(buttonIcons, "none"),
  /** Address of the designer's own icon, if that is chosen. */
  buttonPicture: is(""),
  /** Place of a drawer's button: at the start or end above the products, or floating at the bottom of the screen. */
  buttonPlace: byBand(choiceOfNames(["start", "end", "float"], "start")),
  drawerFrom: byBand(choiceOfNames(["left", "right", "bottom"], "left")),
  /** The title of a drawer, and by BCP 47 tag in other languages; the words on its button when empty. */
  drawerTitle: is(""),
  drawerTitles: is<Readonly<Record<string, string>>>({}),
  /** Width of a drawer from a side, in CSS px. */
  drawerWidth: byBand(is(360)),
  /** Layout of a panel in an article: at full width, or with the text beside it. */
  float: byBand(choiceOfNames(["none", "left", "right"], "none")),
  floatWidth: byBand(is(280)),
  /** Place of the chosen filters and “clear all”: where the panel's rows have them, above the products, or both. */
  chosen: byBand(choiceOfNames(["panel", "above", "both"], "panel")),
  /** After a choice the page stays where it is, or goes back to the top of the results. */
  back: choiceOfNames(["stay", "top"], "stay"),
  /** Indicator of loading results. */
  busy: choiceOfNames(["fade", "bar", "nothing"], "fade"),
  /** Address of another page of the shop to which choices are sent; empty for this one. */
  sendTo: is(""),
};

type Facts = typeof behaviourFacts;
export type BehaviourName = keyof Facts;
/** A panel's behaviour on one band. */
export type Behaviour = ValuesOf<Facts>;
export type BehaviourValue = Behaviour[BehaviourName];
/** Settings that differ from their default. */
export type BehaviourValues = SparseOf<Facts>;

/** Functions on a panel's behaviour. */
export const behaviours = settingTable(behaviourFacts);

/** Why a setting has no effect for a placement; undefined if it has. */
export function behaviourOff(name: BehaviourName, placement: Placement): string | undefined {
  const { form, sticks } = placementFacts[placement];
  switch (name) {
    case "sticky":
    case "nudge":
      if (sticks) return undefined;
      return form === "drawer"
        ? "A drawer covers the page and scrolls by itself, so it can’t be sticky."
        : "Only a panel beside or above the products can be sticky; here it would cover them.";
    case "buttonText":
    case "buttonTexts":
    case "buttonIcon":
    case "buttonPicture":
      return hasButton(placement) ? undefined : "Only a drawer or a folded panel has a button.";
    case "buttonPlace":
      return form === "drawer" ? undefined : "Only the button of a drawer can have its own position.";
    case "drawerTitle":
    case "drawerTitles":
    case "drawerFrom":
    case "drawerWidth":
      return form === "drawer" ? undefined : "The panel isn’t in a drawer here.";
    case "float":
    case "floatWidth":
      return form === "inset" ? undefined : "Applies only inside an article.";
    default:
      return form === "hidden" ? "The panel is hidden on this band." : undefined;
  }
}
