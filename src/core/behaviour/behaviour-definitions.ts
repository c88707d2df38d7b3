import type { SettingDefinition, SettingKind } from "../setting/setting-definitions.ts";
import { type BehaviourName, behaviours, buttonIcons } from "./behaviour.ts";

type Said = SettingKind & { label: string; about: string };

const said: { readonly [K in BehaviourName]: Said } = {
  apply: {
    kind: "choice",
    label: "Results",
    about: "They follow every choice, or wait for a button that tells how many there would be",
    choices: { once: "at once", button: "button" },
  },
  sticky: {
    kind: "yes-no",
    label: "Sticky",
    about: "Stays in sight while the products scroll, with a scroll of its own where it is too high",
  },
  nudge: {
    kind: "number",
    label: "Fine-tune",
    about: "Added to the height of the fixed bars, for a gap or an overlap",
    min: -400,
    max: 400,
    step: 1,
    unit: "px",
  },
  buttonText: { kind: "text", label: "Button text", about: "“Filters” when empty", longest: 60 },
  buttonTexts: { kind: "words", label: "Button text", about: "In the shop’s other languages", longest: 60 },
  buttonIcon: {
    kind: "choice",
    label: "Button icon",
    about: "Beside the text",
    choices: Object.fromEntries(buttonIcons.map((name) => [name, name])),
  },
  buttonPicture: { kind: "picture", label: "Own icon", about: "An SVG, PNG or other picture in the icon’s place" },
  drawerTitle: { kind: "text", label: "Drawer title", about: "The button’s text when empty", longest: 60 },
  drawerTitles: { kind: "words", label: "Drawer title", about: "In the shop’s other languages", longest: 60 },
  buttonPlace: {
    kind: "choice",
    label: "Button place",
    about: "Above the products at the start or the end, or floating at the foot of the screen",
    choices: { start: "start", end: "end", float: "float" },
  },
  drawerFrom: {
    kind: "choice",
    label: "Drawer from",
    about: "Where it comes in",
    choices: { left: "left", right: "right", bottom: "bottom" },
  },
  drawerWidth: {
    kind: "number",
    label: "Its width",
    about: "Of a drawer from a side; never more than the screen leaves",
    min: 220,
    max: 900,
    step: 10,
    unit: "px",
  },
  float: {
    kind: "choice",
    label: "In the text",
    about: "Over the full width, or with the text beside it",
    choices: { none: "full", left: "left", right: "right" },
  },
  floatWidth: {
    kind: "number",
    label: "Its width",
    about: "Of a panel that the text runs beside",
    min: 160,
    max: 600,
    step: 10,
    unit: "px",
  },
  chosen: {
    kind: "choice",
    label: "Chosen filters",
    about: "Where they and clear all stand; above the products their space is always kept",
    choices: { panel: "rows", above: "above", both: "both" },
  },
  back: {
    kind: "choice",
    label: "After a choice",
    about: "Stay where the page is, or go to the top of the results",
    choices: { stay: "stay", top: "to the top" },
  },
  busy: {
    kind: "choice",
    label: "Under way",
    about: "What shows until the results are there",
    choices: { fade: "fade", bar: "a bar", nothing: "nothing" },
  },
  sendTo: {
    kind: "text",
    label: "Sends to",
    about: "Address of another page of the shop, like /collections/gifts",
    longest: 500,
  },
};

/** What is said of a panel's setting in the tool. */
export const behaviourDefinition = (name: BehaviourName): SettingDefinition => ({
  ...said[name],
  fallback: behaviours.fallbackOf(name),
  banded: behaviours.isBanded(name),
});
