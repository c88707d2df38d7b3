import { render, type VNode } from "preact";
import { type DisplayName, displayNames } from "../../core/displays/displays.ts";
import { countingOf } from "../../core/displays/shop-facts.ts";
import { countsOf } from "../../core/engine/engine.ts";
import { emptySelection } from "../../core/engine/selection.ts";
import type { TokenState } from "../../core/look/value.ts";
import {
  type SpecimenWords,
  specimenChoices,
  specimenOptions,
  specimenRow,
  specimenShop,
} from "../../core/panel/look/specimen.ts";
import { emptyPanel, engineFacets } from "../../core/panel/panel.ts";
import type { FacetRow } from "../../core/panel/panel-schema.ts";
import type { Band } from "../../core/settings/band.ts";
import { behaviours } from "../../core/settings/behaviour.ts";
import { settingsOn } from "../../core/settings/settings.ts";
import { sayOf } from "../words/spoken.ts";
import { FacetView } from "./facet-view.tsx";
import { optionViews } from "./option-views.ts";
import type { PanelState } from "./panel-state.ts";

/** Parts of a panel shown beside the displays. */
export const otherSpecimens = ["title", "chips", "links", "button", "opener", "field", "words"] as const;
export type SpecimenName = DisplayName | (typeof otherSpecimens)[number];

/** How specimens are shown. */
export interface SpecimenWays {
  band: Band;
  words: SpecimenWords;
  language: string;
}

const still = () => {};
const isDisplay = (name: SpecimenName): name is DisplayName => (displayNames as readonly string[]).includes(name);

/** The element in which a state is held: the first one of a specimen that can be hovered or focused. */
const holdable =
  ".zt-box, .zt-tile, .zt-swatch, .zt-picture-tile, .zt-plain-option, .zt-switch, .zt-select, .zt-end, .zt-inside, .zt-track, .zt-title, .zt-chip, .zt-more, .zt-apply, .zt-drawer-button, .zt-search";

/**
 * Renders a specimen in a state, with the same views as for shoppers, and holds the state.
 * @returns whether the specimen has the state
 */
export function drawSpecimen(into: Element, name: SpecimenName, state: TokenState, ways: SpecimenWays): boolean {
  into.setAttribute("data-band", ways.band);
  const drawn = isDisplay(name) ? displayIn(name, state, ways) : others[name](state, ways);
  render(drawn, into);
  const [first] = into.querySelectorAll<HTMLElement>(holdable);
  for (const held of into.querySelectorAll("[data-held]")) held.removeAttribute("data-held");
  // For looking only: nothing in it can be focused.
  for (const one of into.querySelectorAll<HTMLElement>("input, button, select, summary, a, [tabindex]"))
    one.tabIndex = -1;
  const held = state === "chosen-hovered" ? "hovered" : state;
  if (first && (held === "hovered" || held === "focused")) hold(first, held);
  return drawn !== null;
}

/** The focused element of an option is its input; the option only contains it. */
function hold(first: Element, held: "hovered" | "focused"): void {
  const focusable = first.querySelectorAll("input, button");
  if (held === "hovered" || focusable.length === 0) {
    first.setAttribute("data-held", held);
    return;
  }
  first.setAttribute("data-held", "within");
  for (const one of focusable) one.setAttribute("data-held", "focused");
}

/** Removes a specimen. */
export const eraseSpecimen = (from: Element): void => render(null, from);

function displayIn(name: DisplayName, state: TokenState, ways: SpecimenWays): VNode | null {
  const whole = specimenRow(name);
  if (whole.mode === "range" && state === "unavailable" && !countingOf(name)) return null;
  const row = withFew(whole, name, ways);
  return <FacetView row={row} state={panelState(row, state, ways)} perform={still} inSight />;
}

/** A row limited to its first options. */
function withFew(row: FacetRow, name: DisplayName, ways: SpecimenWays): FacetRow {
  if (row.mode === "range" || row.mode === "tree" || name === "switch") return row;
  const state = panelState(row, "rest", ways);
  const answer = state.answer.facets[row.field];
  if (!answer) return row;
  const shown = optionViews(state, row, { display: name, settings: settingsOn(row.settings, ways.band) }, answer).slice(
    0,
    specimenOptions(name),
  );
  const picked = shown.map(({ id, label: text }) => ({ id, label: text, products: 1 }));
  return { ...row, options: { show: "only", picked, labels: {}, merges: [], byHand: [] } };
}

function panelState(row: FacetRow, state: TokenState, { band, words, language }: SpecimenWays): PanelState {
  const { engine, swatches } = specimenShop(words);
  const panel = { ...emptyPanel("Specimen"), rows: [row] };
  const asked = engineFacets(panel, band);
  const steady = engine.ask(countsOf(asked)).facets[row.field];
  const [range] = steady?.ranges ?? [];
  const choices =
    range && state.startsWith("chosen")
      ? { [row.field]: range }
      : specimenChoices(row, state, row.options?.picked[0]?.id ?? steady?.options[0]?.id);
  const selection = { ...emptySelection, choices };
  // Options are disabled by a choice in a facet that is not shown.
  const all = [...asked, { field: "alone", mode: "any" as const }];
  return {
    id: `specimen-${row.display.wide}-${state}`,
    slug: "specimen",
    behaviour: behaviours.allOn({}, band),
    waits: false,
    leaves: false,
    counted: true,
    panel,
    band,
    fields: new Map(engine.index.catalogue.fields.map((field) => [field.key, field])),
    swatches,
    currency: "EUR",
    selection,
    answer: engine.ask(countsOf(all, selection)),
    language,
    say: sayOf(language),
    marked: undefined,
    query: "",
    base: "",
    rows: [row],
    asked,
    names: {},
  };
}

const label = ({ words }: SpecimenWays, usual: string): string =>
  words === "short" ? "Go" : words === "long" ? `${usual}, with many more words than usual` : usual;

const others: Record<(typeof otherSpecimens)[number], (state: TokenState, ways: SpecimenWays) => VNode | null> = {
  title: (state, ways) =>
    state === "rest" || state === "hovered" || state === "focused" ? (
      <section class="zt-facet">
        <h3 class="zt-title">
          <button type="button" class="zt-fold" aria-expanded={false}>
            {label(ways, "Colour")}
          </button>
        </h3>
        {state === "hovered" ? (
          <p class="zt-tip" style={{ visibility: "visible" }}>
            {label(ways, "A hint")}
          </p>
        ) : null}
      </section>
    ) : null,
  chips: (state, ways) =>
    state.startsWith("chosen") || state === "unavailable" ? null : (
      <button type="button" class="zt-chip">
        {label(ways, "Moss")}
        <span aria-hidden="true">×</span>
      </button>
    ),
  links: (state, ways) =>
    state.startsWith("chosen") || state === "unavailable" ? null : (
      <button type="button" class="zt-more">
        {label(ways, "Show all 24")}
      </button>
    ),
  button: (state, ways) =>
    state.startsWith("chosen") ? null : (
      <button type="button" class="zt-apply" disabled={state === "unavailable"}>
        {label(ways, "Show 24")}
      </button>
    ),
  opener: (state, ways) =>
    state === "unavailable" ? null : (
      <button type="button" class="zt-drawer-button" data-active={state.startsWith("chosen") || undefined}>
        {label(ways, "Filters")}
        {state.startsWith("chosen") ? <span class="zt-badge">2</span> : null}
      </button>
    ),
  field: (state, ways) =>
    state.startsWith("chosen") || state === "unavailable" ? null : (
      <input class="zt-search" type="search" placeholder={label(ways, "Search")} aria-label="Search" />
    ),
  words: (state, ways) =>
    state === "rest" ? (
      <div>
        <h3 class="zt-heading">{label(ways, "Heading")}</h3>
        <p class="zt-total">24 products</p>
        <p class="zt-hint">10 cm to 60 cm</p>
      </div>
    ) : null,
};
