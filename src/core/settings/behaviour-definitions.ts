import { type BehaviourName, behaviours, buttonIcons } from "./behaviour.ts";
import type { SettingDefinition, SettingKind } from "./setting-definitions.ts";

type Said = SettingKind & { label: string; about: string };

const said: { readonly [K in BehaviourName]: Said } = {
  apply: {
    kind: "choice",
    label: "Update results",
    about: "Update after every choice, or only on an Apply button that shows the count",
    choices: { once: "at once", button: "button" },
  },
  sticky: {
    kind: "yes-no",
    label: "Sticky",
    about: "Stays in view while the products scroll; scrolls by itself when it is too tall",
  },
  nudge: {
    kind: "number",
    label: "Fine-tune",
    about: "Space between the shop’s fixed bars and the panel; negative to overlap",
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
  buttonPicture: { kind: "picture", label: "Custom icon", about: "An SVG, PNG or other picture instead of the icon" },
  drawerTitle: { kind: "text", label: "Drawer title", about: "The button’s text when empty", longest: 60 },
  drawerTitles: { kind: "words", label: "Drawer title", about: "In the shop’s other languages", longest: 60 },
  buttonPlace: {
    kind: "choice",
    label: "Button position",
    about: "Above the products at the start or end, or floating at the bottom of the screen",
    choices: { start: "start", end: "end", float: "float" },
  },
  drawerFrom: {
    kind: "choice",
    label: "Drawer from",
    about: "The side it slides in from",
    choices: { left: "left", right: "right", bottom: "bottom" },
  },
  drawerWidth: {
    kind: "number",
    label: "Drawer width",
    about: "For drawers from a side; never wider than the screen allows",
    min: 220,
    max: 900,
    step: 10,
    unit: "px",
  },
  float: {
    kind: "choice",
    label: "In articles",
    about: "Full width, or with text beside it",
    choices: { none: "full", left: "left", right: "right" },
  },
  floatWidth: {
    kind: "number",
    label: "Panel width",
    about: "For a panel with text beside it",
    min: 160,
    max: 600,
    step: 10,
    unit: "px",
  },
  chosen: {
    kind: "choice",
    label: "Chosen filters",
    about: "Where chosen filters and “clear all” appear; above the products their space is always reserved",
    choices: { panel: "rows", above: "above", both: "both" },
  },
  back: {
    kind: "choice",
    label: "After a choice",
    about: "Keep the scroll position, or go to the top of the results",
    choices: { stay: "stay", top: "to the top" },
  },
  busy: {
    kind: "choice",
    label: "While loading",
    about: "What shoppers see until new results arrive",
    choices: { fade: "fade", bar: "a bar", nothing: "nothing" },
  },
  sendTo: {
    kind: "text",
    label: "Send choices to",
    about: "Address of a different page of the shop, like /collections/gifts",
    longest: 500,
  },
};

/** The words for a panel's setting in the tool. */
export const behaviourDefinition = (name: BehaviourName): SettingDefinition => ({
  ...said[name],
  fallback: behaviours.fallbackOf(name),
  banded: behaviours.isBanded(name),
});
