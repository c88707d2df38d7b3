import {
  buttonStates,
  cases,
  choice,
  colour,
  decorations,
  font,
  inner,
  type LookPart,
  length,
  linkStates,
  number,
  on,
  own,
  shadow,
  weight,
} from "../part.ts";

const chevron = "polygon(12% 27%, 50% 65%, 88% 27%, 100% 39%, 50% 89%, 0 39%)";
const chevronUp = "polygon(12% 73%, 50% 35%, 88% 73%, 100% 61%, 50% 11%, 0 61%)";
const plus =
  "polygon(42% 0, 58% 0, 58% 42%, 100% 42%, 100% 58%, 58% 58%, 58% 100%, 42% 100%, 42% 58%, 0 58%, 0 42%, 42% 42%)";
const minus = "polygon(0 42%, 100% 42%, 100% 58%, 0 58%)";
const triangle = "polygon(0 25%, 100% 25%, 50% 85%)";
const triangleUp = "polygon(0 75%, 100% 75%, 50% 15%)";
const nothing = "polygon(0 0, 0 0, 0 0)";

/** A panel in the page. In a drawer, the drawer is what stands around it. */
const standing = ".zt-panel:not(.zt-drawer *)";

/** The panel itself and its contents except for the options. */
export const panelParts = {
  panel: {
    label: "Panel",
    group: "Panel",
    at: ".zt-panel",
    properties: {
      ground: colour("Background", "#ffffff00", own("background-color")),
      padding: length("Padding", 0, on(standing, "padding")),
      edge: colour("Border", "{line}", on(standing, "border-color")),
      "edge-width": length("Border width", 0, on(standing, "border-width"), { max: 12, step: 0.5 }),
      radius: length("Corner radius", 0, on(standing, "border-radius")),
      shadow: shadow("Shadow", { x: 0, y: 0, blur: 0, spread: 0, colour: "#00000000" }, on(standing, "box-shadow")),
      columns: length("Space between columns", "{space.4xl}", own("column-gap")),
      gap: length("Space around a facet", "{space.2xl}", on(".zt-facet", "padding-block")),
      "piece-gap": length("Space around a piece", "{space.m}", on(".zt-piece", "padding-block")),
      divider: colour("Divider", "{line}", on(":is(.zt-facet, .zt-piece)", "border-bottom-color")),
      "divider-width": length("Divider width", "{line.width}", on(":is(.zt-facet, .zt-piece)", "border-bottom-width"), {
        max: 12,
        step: 0.5,
      }),
    },
  },
  title: {
    label: "Title",
    group: "Panel",
    at: ".zt-title",
    states: { rest: "", hovered: ":has(.zt-fold):hover", focused: ":has(:focus-visible)" },
    properties: {
      ink: colour("Text", { rest: "{ink}" }, own("color")),
      font: font("Font", "{text.font}", own("font-family")),
      size: length("Size", "{text.title}", own("font-size")),
      weight: weight("Weight", "{text.strong}", own("font-weight")),
      case: choice("Case", "as written", cases, own("text-transform")),
      spacing: length("Letter spacing", 0, own("letter-spacing"), { min: -4, max: 12, step: 0.1 }),
      mark: choice(
        "Fold mark",
        "chevron",
        {
          chevron: { "": chevron, "-open": chevronUp },
          plus: { "": plus, "-open": minus },
          triangle: { "": triangle, "-open": triangleUp },
          none: { "": nothing, "-open": nothing },
        },
        [
          [".zt-fold::after", "clip-path"],
          ['.zt-fold[aria-expanded="true"]::after', "clip-path", "-open"],
        ],
      ),
      "mark-size": length("Mark size", 12, on(".zt-fold::after", "width", "height")),
      "mark-ink": colour("Mark", { rest: "{ink.quiet}" }, inner(".zt-fold::after", "background-color")),
      "picked-ink": colour("Number of chosen options", "{ink.quiet}", on(".zt-picked", "color")),
      "picked-size": length("Number of chosen options, size", "{text.small}", on(".zt-picked", "font-size")),
      gap: length("Space above the options", "{space.m}", on(".zt-body", "padding-top")),
    },
    judged: [
      { of: "ink", as: "text", size: "size", weight: "weight" },
      { of: "mark-ink", as: "control" },
      { of: "picked-ink", as: "text", size: "picked-size" },
    ],
  },
  heading: {
    label: "Heading",
    group: "Panel",
    at: ".zt-heading",
    properties: {
      ink: colour("Text", "{ink}", own("color")),
      font: font("Font", "{text.font}", own("font-family")),
      weight: weight("Weight", "{text.strong}", own("font-weight")),
      first: length("Size, level 2", "{text.large}", on("h2.zt-heading", "font-size")),
      second: length("Size, level 3", "{text.heading}", on("h3.zt-heading", "font-size")),
      third: length("Size, level 4", "{text.size}", on("h4.zt-heading", "font-size")),
    },
    judged: [{ of: "ink", as: "text", size: "third", weight: "weight" }],
  },
  divider: {
    label: "Divider",
    group: "Panel",
    at: ".zt-divider",
    properties: {
      ink: colour("Line", "{line}", own("border-top-color")),
      width: length("Width", "{line.strong}", own("border-top-width"), { max: 20, step: 0.5 }),
    },
  },
  hint: {
    label: "Small print",
    group: "Panel",
    at: ".zt-hint",
    properties: {
      ink: colour("Text", "{ink.quiet}", own("color")),
      size: length("Size", "{text.small}", own("font-size")),
    },
    judged: [{ of: "ink", as: "text", size: "size" }],
  },
  tip: {
    label: "Hint",
    group: "Panel",
    at: ".zt-tip",
    properties: {
      ground: colour("Background", "{ink}", own("background-color")),
      ink: colour("Text", "{ground}", own("color")),
      size: length("Size", "{text.small}", own("font-size")),
      radius: length("Corner radius", "{radius}", own("border-radius")),
    },
    judged: [{ of: "ink", on: "ground", as: "text", size: "size" }],
  },
  total: {
    label: "Result count",
    group: "Panel",
    at: ".zt-total",
    properties: {
      ink: colour("Text", "{ink.quiet}", own("color")),
      size: length("Size", "{text.size}", own("font-size")),
      weight: weight("Weight", "{text.weight}", own("font-weight")),
    },
    judged: [{ of: "ink", as: "text", size: "size", weight: "weight" }],
  },
  link: {
    label: "Links",
    group: "Panel",
    at: ":is(.zt-more, .zt-clear, .zt-text a, .zt-links a)",
    states: linkStates,
    properties: {
      ink: colour("Text", { rest: "{accent}" }, own("color")),
      line: choice("Underline", { rest: "underline" }, decorations, own("text-decoration-line")),
      size: length("Size", "{text.note}", on(":is(.zt-more, .zt-clear)", "font-size")),
    },
    judged: [{ of: "ink", as: "text", size: "size" }],
  },
  chip: {
    label: "Chosen filters",
    group: "Panel",
    at: ".zt-chip",
    states: linkStates,
    properties: {
      ground: colour("Background", { rest: "{ground}", hovered: "{ground.tint}" }, own("background-color")),
      ink: colour("Text", { rest: "{ink}" }, own("color")),
      edge: colour("Border", { rest: "{line.edge}" }, own("border-color")),
      "edge-width": length("Border width", "{line.width}", own("border-width"), { max: 12, step: 0.5 }),
      radius: length("Corner radius", "{radius.round}", own("border-radius")),
      height: length("Minimum height", "{height.small}", own("min-height")),
      padding: length("Padding", "{space.l}", own("padding-inline")),
      size: length("Size", "{text.small}", own("font-size")),
    },
    judged: [{ of: "ink", on: "ground", as: "text", size: "size" }],
  },
  button: {
    label: "Apply button",
    group: "Panel",
    at: ".zt-apply",
    states: buttonStates,
    properties: {
      ground: colour("Background", { rest: "{accent}" }, own("background-color")),
      ink: colour("Text", { rest: "{accent.ink}" }, own("color")),
      edge: colour("Border", { rest: "{accent}" }, own("border-color")),
      "edge-width": length("Border width", 0, own("border-width"), { max: 12, step: 0.5 }),
      radius: length("Corner radius", "{radius}", own("border-radius")),
      height: length("Minimum height", "{height.bar}", own("min-height")),
      size: length("Size", "{text.size}", own("font-size")),
      weight: weight("Weight", "{text.strong}", own("font-weight")),
      case: choice("Case", "as written", cases, own("text-transform")),
    },
    judged: [{ of: "ink", on: "ground", as: "text", size: "size", weight: "weight" }],
  },
  opener: {
    label: "Drawer button",
    group: "Panel",
    at: ".zt-drawer-button",
    // Chosen: the panel has a selection.
    states: { ...linkStates, chosen: "[data-active]", "chosen-hovered": "[data-active]:hover" },
    properties: {
      ground: colour("Background", { rest: "{ground}", chosen: "{accent}" }, own("background-color")),
      ink: colour("Text", { rest: "{ink}", chosen: "{accent.ink}" }, own("color")),
      edge: colour("Border", { rest: "{accent}" }, own("border-color")),
      "edge-width": length("Border width", "{line.width}", own("border-width"), { max: 12, step: 0.5 }),
      radius: length("Corner radius", "{radius.round}", own("border-radius")),
      height: length("Minimum height", "{height.touch}", own("min-height")),
      padding: length("Padding", 18, own("padding-inline")),
      size: length("Size", "{text.size}", own("font-size")),
      weight: weight("Weight", "{text.strong}", own("font-weight")),
      "badge-ground": colour("Number background", "{accent.ink}", on(".zt-badge", "background-color")),
      "badge-ink": colour("Number", "{accent}", on(".zt-badge", "color")),
    },
    judged: [
      { of: "ink", on: "ground", as: "text", size: "size", weight: "weight" },
      { of: "badge-ink", on: "badge-ground", as: "text" },
    ],
  },
  drawer: {
    label: "Drawer",
    group: "Panel",
    at: ".zt-drawer",
    properties: {
      ground: colour("Background", "{ground}", own("background-color")),
      shade: colour("Background dimming", "{shade}", on(".zt-drawer::backdrop", "background-color")),
      padding: length("Padding", "{space.4xl}", on(".zt-drawer-scroll", "padding-inline")),
      radius: length("Corner radius", 0, own("border-radius")),
      "title-size": length("Title size", 20, on(".zt-drawer-head h2", "font-size")),
      "title-weight": weight("Title weight", "{text.strong}", on(".zt-drawer-head h2", "font-weight")),
      line: colour(
        "Lines",
        "{line}",
        on(".zt-drawer-head", "border-bottom-color").concat(on(".zt-drawer-foot", "border-top-color")),
      ),
    },
  },
  busy: {
    label: "While loading",
    group: "Panel",
    at: ".zs-result",
    properties: {
      fade: number("Opacity of the old results", 0.5, on('.zs-result[data-busy="fade"]', "opacity"), { max: 1 }),
      bar: colour("Bar", "{accent}", on('.zs-result[data-busy="bar"]', "--bar")),
      height: length("Bar height", "{space.xs}", on('.zs-result[data-busy="bar"]::before', "height")),
    },
  },
} as const satisfies Record<string, LookPart>;
