import { fieldOf } from "../catalogue/catalogue.ts";
import { isNumeric } from "../catalogue/field.ts";
import type { CatalogueIndex } from "../index/catalogue-index.ts";
import type { Answer } from "../match/answer.ts";
import type { LocalEngine } from "../match/engine.ts";
import type { Selection } from "../match/selection.ts";
import { type Band, bands, resolve } from "../panel/bands.ts";
import { type DisplayName, engineFacets, type FacetRow, facetRows, type PanelDocument, type Placement, rulesOf } from "../panel/document.ts";
import { engineMerges, isShown, labelOf, staleValues } from "../panel/options.ts";
import { type SettingName, settingOn } from "../panel/settings.ts";
import { skewness } from "./distribution.ts";
import { deadPairs } from "./mode-example.ts";

/** How high the rows of a panel stand on one band, in CSS px, as a page has measured them. */
export interface Measure {
  rows: Readonly<Record<string, number>>;
  panel: number;
  /** Height of the window. */
  screen: number;
  /** How far down the first product stands. */
  products: number;
}
export type Measures = Partial<Record<Band, Measure>>;

/** A change that mends a finding in one step. Plain data, so that it can come from a worker. */
export type MendStep =
  | { do: "remove"; row: string }
  | { do: "set"; row: string; setting: SettingName; value: unknown }
  | { do: "mode"; row: string; mode: "any" }
  | { do: "add"; field: string }
  | { do: "forget"; row: string; values: string[] }
  | { do: "relabel"; row: string; labels: Record<string, string> }
  | { do: "place"; band: Band; placement: Placement };

/** Something that the tool computed to be wrong or risky in a panel. */
export interface Finding {
  /** Of the brief's list of what goes wrong, section 3. */
  kind: 1 | 2 | 3 | 4 | 5 | 7 | 8 | 12 | 13 | 17 | 19;
  /** Row that it is about; the whole panel when absent. */
  row?: string;
  band?: Band;
  /** What is wrong, with its number, in one or two sentences. */
  words: string;
  /** A field of which the catalogue tells more. */
  field?: string;
  mend?: { words: string; step: MendStep };
}

/** Share of the products below which a facet's reach is worth a word. */
const lowReach = 0.6;
/** Displays whose options lie open and so make a panel long. */
const open: readonly DisplayName[] = ["check-boxes", "radio-buttons", "swatch-boxes", "plain-list", "tiles", "tags", "picture-tiles", "swatches"];

/** All that is wrong or risky in a panel over a catalogue, with what is chosen at the moment. */
export function findFindings(engine: LocalEngine, panel: PanelDocument, selection: Selection, measures: Measures): Finding[] {
  const { index } = engine;
  const answer = engine.ask({ facets: engineFacets(panel, "wide"), selection, sort: "", from: 0, size: 0 });
  const name = (row: FacetRow) => row.label || index.field(row.field)?.name || row.field;
  return [
    ...facetRows(panel).flatMap((row) => {
      const title = name(row);
      return [
        ...reach(row, title, answer),
        ...stale(index, row, title),
        ...counting(row, title, answer, selection),
        ...deadEnds(row, title, answer),
        ...combining(index, row, title),
        ...ends(index, row, title),
        ...length(row, title, measures),
        ...rawLabels(row, title, answer),
      ];
    }),
    ...soldOut(index, panel),
    ...phone(panel, measures),
  ];
}

function reach(row: FacetRow, title: string, { facets, outOf }: Answer): Finding[] {
  const found = facets[row.field];
  const remove = { words: "Remove it", step: { do: "remove", row: row.id } } as const;
  if (!found) return [{ kind: 1, row: row.id, words: `${title}: the catalogue has no such field, so nothing appears.`, mend: remove }];
  if (found.reach === 0)
    return [{ kind: 1, row: row.id, field: row.field, words: `${title}: no product states it, so nothing appears.`, mend: remove }];
  if (found.reach >= outOf * lowReach) return [];
  return [
    {
      kind: 2,
      row: row.id,
      field: row.field,
      words: `${title} reaches ${found.reach} of ${outOf} products; ${outOf - found.reach} do not state it and vanish with any choice.`,
    },
  ];
}

function stale(index: CatalogueIndex, row: FacetRow, title: string): Finding[] {
  if (!row.options || !index.field(row.field)) return [];
  const tree = row.mode === "tree";
  const [plain, merged] = [index.options(row.field, tree), index.options(row.field, tree, engineMerges(row.options))];
  const gone = staleValues(row.options, (id) => plain.at.has(id) || merged.at.has(id));
  if (gone.length === 0) return [];
  const told = gone.map(({ label, products }) => (products > 0 ? `“${label}” (once ${products})` : `“${label}”`)).join(", ");
  return [
    {
      kind: 3,
      row: row.id,
      words: `${title} names ${gone.length === 1 ? "a value" : `${gone.length} values`} that no product states: ${told}.`,
      mend: { words: "Forget them", step: { do: "forget", row: row.id, values: gone.map(({ id }) => id) } },
    },
  ];
}

function counting(row: FacetRow, title: string, { facets }: Answer, selection: Selection): Finding[] {
  const found = facets[row.field];
  if (!found || settingOn(row.settings, "counting", "wide") !== "steady" || found.range) return [];
  const others = Object.keys(selection.choices).some((key) => key !== row.field) || selection.text !== "";
  const wrong = found.options
    .map((option, o) => ({ label: option.label, told: found.counts.steady[o], got: found.counts.live[o] }))
    .filter(({ told, got }) => told !== got);
  const worst = wrong.toSorted((a, b) => b.told - b.got - (a.told - a.got))[0];
  return [
    {
      kind: 4,
      row: row.id,
      words:
        others && worst
          ? `${title}: ${wrong.length} counts ignore what is chosen; “${worst.label} ${worst.told}” leads to ${worst.got}.`
          : `${title}: its counts ignore what is chosen elsewhere, so they promise more than shoppers get.`,
      mend: { words: "Let counts follow", step: { do: "set", row: row.id, setting: "counting", value: "live" } },
    },
  ];
}

function deadEnds(row: FacetRow, title: string, { facets }: Answer): Finding[] {
  const found = facets[row.field];
  if (!found || found.range || settingOn(row.settings, "deadEnd", "wide") !== "keep") return [];
  const rules = rulesOf(row);
  const dead = found.options.filter(({ id }, o) => isShown(rules, id) && found.counts.live[o] === 0).length;
  if (dead === 0) return [];
  return [
    {
      kind: 5,
      row: row.id,
      words: `${title}: ${dead} of ${found.options.length} options lead to nothing now and look like the others.`,
      mend: { words: "Fade them", step: { do: "set", row: row.id, setting: "deadEnd", value: "fade" } },
    },
  ];
}

function combining(index: CatalogueIndex, row: FacetRow, title: string): Finding[] {
  if (row.mode !== "all" || !index.field(row.field)) return [];
  const { dead, pairs } = deadPairs(index, { field: row.field, merges: engineMerges(rulesOf(row)) });
  if (pairs === 0 || dead === 0) return [];
  return [
    {
      kind: 8,
      row: row.id,
      words: `${title} wants all that is chosen: of the ${pairs} pairs of its most frequent options ${dead} find nothing.`,
      mend: { words: "Take any of them", step: { do: "mode", row: row.id, mode: "any" } },
    },
  ];
}

function ends(index: CatalogueIndex, row: FacetRow, title: string): Finding[] {
  const field = index.field(row.field);
  if (row.mode !== "range" || !field || !isNumeric(field)) return [];
  const findings: Finding[] = [];
  const { starts, values, level } = index.numbers(row.field);
  const setting = <K extends SettingName>(name: K) => settingOn(row.settings, name, "wide");
  if (setting("ends") === "typed") {
    const [least, most] = [setting("least") ?? Number.NEGATIVE_INFINITY, setting("most") ?? Number.POSITIVE_INFINITY];
    const outside = new Set<number>();
    for (let record = 0; record + 1 < starts.length; record++) {
      for (let at = starts[record]; at < starts[record + 1]; at++)
        if (values[at] < least || values[at] > most) outside.add(level === "variant" ? index.productOf[record] : record);
    }
    if (outside.size > 0)
      findings.push({
        kind: 12,
        row: row.id,
        words: `${title}: ${outside.size} ${outside.size === 1 ? "product lies" : "products lie"} outside the typed ends and can be chosen only with all beyond them.`,
        mend: { words: "Take the page's own ends", step: { do: "set", row: row.id, setting: "ends", value: "steady" } },
      });
  }
  const slides = bands.some((band) => resolve(row.display, band).startsWith("slider"));
  if (slides && setting("scale") === "even" && field.kind === "number") {
    const sorted = values.toSorted();
    const [min, max] = [sorted[0] ?? 0, sorted.at(-1) ?? 0];
    const middle = sorted[sorted.length >> 1] ?? 0;
    const part = max > min ? (middle - min) / (max - min) : 1;
    if (skewness(sorted) > 1 && part < 0.15 && min >= 0)
      findings.push({
        kind: 12,
        row: row.id,
        words: `${title}: half of the values lie on the first ${Math.max(1, Math.round(part * 100))} % of the scale, since a few are far above.`,
        mend: { words: "Bend the scale", step: { do: "set", row: row.id, setting: "scale", value: "bent" } },
      });
  }
  return findings;
}

function length(row: FacetRow, title: string, measures: Measures): Finding[] {
  return bands.flatMap((band): Finding[] => {
    const measure = measures[band];
    const height = measure?.rows[row.id];
    if (!measure || height === undefined || height <= measure.screen * 0.6) return [];
    const folds = open.includes(resolve(row.display, band)) && settingOn(row.settings, "foldAfter", band) === 0;
    return [
      {
        kind: 13,
        row: row.id,
        band,
        words: `${title} is ${Math.round(height)} px high on ${band}, ${Math.round((height / measure.screen) * 100)} % of the screen.`,
        mend: folds
          ? { words: "Fold after 8", step: { do: "set", row: row.id, setting: "foldAfter", value: { wide: 8 } } }
          : { words: "Limit it to 200 px", step: { do: "set", row: row.id, setting: "maxHeight", value: { wide: 200 } } },
      },
    ];
  });
}

/** Texts that were made for programs: keys with a value behind them, underscores, lone digits, true and false. */
export const looksRaw = (text: string): boolean => /^[\w-]+:[\w-]+$/.test(text) || /\w_\w/.test(text) || /^(?:true|false|null|0|1)$/i.test(text);

/** A raw text as people would read it: `pet_safe:1` is “Pet safe”. */
export function readable(text: string): string {
  const pair = /^([\w-]+):([\w-]+)$/.exec(text);
  if (pair) {
    if (/^(?:1|true|yes)$/i.test(pair[2])) return tidy(pair[1]);
    if (/^(?:0|false|no)$/i.test(pair[2])) return `Not ${tidy(pair[1]).toLowerCase()}`;
    return tidy(pair[2]);
  }
  if (/^(?:true|1)$/i.test(text)) return "Yes";
  if (/^(?:false|0)$/i.test(text)) return "No";
  return tidy(text);
}

function tidy(text: string): string {
  const words = text.replaceAll(/[_-]+/g, " ").trim();
  return words === "" ? text : words[0].toUpperCase() + words.slice(1);
}

function rawLabels(row: FacetRow, title: string, { facets }: Answer): Finding[] {
  const found = facets[row.field];
  if (!found || found.range) return [];
  const rules = rulesOf(row);
  const raw = found.options.filter((option) => isShown(rules, option.id) && looksRaw(labelOf(rules, option, "")));
  if (raw.length === 0) return [];
  return [
    {
      kind: 19,
      row: row.id,
      words: `${title} shows shoppers ${raw.length === 1 ? "a raw value" : `${raw.length} raw values`}, such as “${raw[0].label}”.`,
      mend: {
        words: `Call ${raw.length === 1 ? "it" : "them"} “${readable(raw[0].label)}”${raw.length > 1 ? " and so on" : ""}`,
        step: { do: "relabel", row: row.id, labels: Object.fromEntries(raw.map(({ id, label }) => [id, readable(label)])) },
      },
    },
  ];
}

function soldOut(index: CatalogueIndex, panel: PanelDocument): Finding[] {
  const field = fieldOf(index.catalogue, "availability");
  if (!field || facetRows(panel).some((row) => row.field === field.key) || facetRows(panel).length === 0) return [];
  const options = index.options(field.key);
  const out = options.at.get("out of stock");
  const variants = out === undefined ? 0 : options.postings.starts[out + 1] - options.postings.starts[out];
  if (variants === 0 || options.level !== "variant") return [];
  return [
    {
      kind: 7,
      field: field.key,
      words: `${variants} of ${index.variants} variants are sold out, and shoppers cannot leave them out.`,
      mend: { words: "Add availability", step: { do: "add", field: field.key } },
    },
  ];
}

function phone(panel: PanelDocument, measures: Measures): Finding[] {
  if (panel.rows.length === 0) return [];
  const placement = resolve(panel.placement, "slim");
  const mend = { words: "Put it in a drawer", step: { do: "place", band: "slim", placement: "drawer" } } as const;
  if (placement === "absent") return [{ kind: 17, band: "slim", words: "On a phone there is no panel at all.", mend }];
  const measure = measures.slim;
  if (placement === "drawer" || !measure || measure.products <= measure.screen) return [];
  return [
    {
      kind: 17,
      band: "slim",
      words: `On a phone the first product stands ${Math.round(measure.products)} px down, ${(measure.products / measure.screen).toFixed(1)} screens below the top.`,
      mend,
    },
  ];
}
