/** The help for one view. */
interface HelpPage {
  /** Last part of the view's address below its shop; empty for the overview. */
  view: string;
  title: string;
  /** The work there, in order. */
  steps: readonly string[];
  /** Words of the glossary that the view uses. */
  words: readonly string[];
}

/** One page for each view; the words are explained by the glossary. */
export const helpPages: readonly HelpPage[] = [
  {
    view: "",
    title: "Overview",
    steps: [
      "The tasks are in the order of the work. Each leads to the place where it is done.",
      "Set the shop’s currency, languages and page widths here.",
    ],
    words: ["finding", "edition", "band"],
  },
  {
    view: "catalogue",
    title: "Catalogue",
    steps: [
      "Check how many products have a value for each field, and what their values are.",
      "Correct spellings and single cells. Corrections are applied again to every newer file.",
      "Import a newer file when the shop’s products change.",
    ],
    words: ["field", "reach", "correction", "level"],
  },
  {
    view: "panels",
    title: "Panels",
    steps: [
      "Rows are filters, columns are page widths. Select a cell to choose how a filter is shown at that width.",
      "Drag a row by its handle to move it. Open its settings with the arrow.",
      "Choose on the live page as a shopper would; counts and findings follow.",
    ],
    words: ["facet", "piece", "display", "option", "empty option", "finding"],
  },
  {
    view: "swatches",
    title: "Swatch book",
    steps: [
      "Select a field, then set a colour or a picture for each value.",
      "Guesses are marked until you accept or change them.",
    ],
    words: ["swatch", "option"],
  },
  {
    view: "look",
    title: "Look",
    steps: [
      "Select a part and a state, then change its colours, sizes and fonts. Every display follows at once.",
      "Contrast and target sizes are checked; each problem offers a fix.",
    ],
    words: ["look", "token", "part", "option style"],
  },
  {
    view: "pages",
    title: "Pages",
    steps: [
      "The table shows which panel is on which page, and what each filter offers there.",
      "Set a layout for all pages of a type, or for one page.",
      "Collections and articles are made here.",
    ],
    words: ["page", "layout", "slot", "standing condition", "collection"],
  },
  {
    view: "rehearsal",
    title: "Rehearsal",
    steps: [
      "Trial shoppers look for products on a page. See how many find theirs, and where they get stuck.",
      "Visits show what real shoppers did.",
    ],
    words: ["rehearsal", "dead end", "visit"],
  },
  {
    view: "editions",
    title: "Editions",
    steps: [
      "Read what changed, then publish. Shoppers see the newest edition.",
      "Handoff has the files and the code for your own site.",
      "Share a preview to let others try the draft and pin notes to it.",
    ],
    words: ["edition", "draft", "difference", "handoff", "preview"],
  },
];

/** The help for an address of the tool; undefined outside of a shop. */
export function helpFor(pathname: string): HelpPage | undefined {
  const [, view] = /^\/shops\/[^/]+(?:\/([^/]+))?/.exec(pathname) ?? [];
  return pathname.startsWith("/shops/") ? helpPages.find((page) => page.view === (view ?? "")) : undefined;
}

/** The meaning of a word in the glossary's table. */
export function meaningIn(glossary: string, word: string): string | undefined {
  const row = glossary.split("\n").find((line) => line.startsWith(`| ${word} |`));
  return row?.split("|")[2]?.trim().replaceAll(/[`*]/g, "");
}
