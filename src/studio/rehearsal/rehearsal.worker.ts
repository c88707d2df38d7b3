import { expose } from "comlink";
import { LRUCache } from "lru-cache";
import type { ShopVersion } from "../../core/api/shop-version.ts";
import { decodeCatalogue } from "../../core/catalogue/binary.ts";
import { readCsv } from "../../core/catalogue/csv.ts";
import { edited } from "../../core/document/edit.ts";
import { CatalogueIndex } from "../../core/engine/index/catalogue-index.ts";
import type { Measure } from "../../core/findings/measure.ts";
import { removeRow } from "../../core/panel/edit.ts";
import type { PanelDocument } from "../../core/panel/panel-schema.ts";
import { rowTitle } from "../../core/panel/row-title.ts";
import { LocalFacts } from "../../core/profile/local-facts.ts";
import { type Assumptions, assumed } from "../../core/rehearsal/assumptions.ts";
import { compareWalks, type MeasureDifference } from "../../core/rehearsal/compare.ts";
import { fewestChoices } from "../../core/rehearsal/fewest-choices.ts";
import { offeredBy, pageScene } from "../../core/rehearsal/page-scene.ts";
import { type Proposal, propose } from "../../core/rehearsal/propose.ts";
import { rehearsed, runRehearsal } from "../../core/rehearsal/rehearse.ts";
import { type Robust, robust } from "../../core/rehearsal/robust.ts";
import type { Scene } from "../../core/rehearsal/scene.ts";
import type { Weighing } from "../../core/rehearsal/shopper.ts";
import { outcomeSpan, type Span } from "../../core/rehearsal/span.ts";
import {
  type ChosenFields,
  countChoices,
  countVisits,
  guessChoiceColumns,
  guessColumns,
  type VisitColumns,
  type Visits,
} from "../../core/rehearsal/visits.ts";
import type { Walk } from "../../core/rehearsal/walk.ts";
import type { Band } from "../../core/settings/band.ts";

/** The page and panel to rehearse, and the shoppers. */
export interface Order {
  /** Address of the catalogue in binary form. */
  data: string;
  stand: ShopVersion;
  address: string;
  band: Band;
  /** By panel, a browser's measurements on the band. */
  measures: ReadonlyMap<string, Measure>;
  shoppers: number;
  seed: number;
  weighing: Weighing;
  assumptions: Assumptions;
}

/** A facet of the rehearsed page. */
export interface RehearsedFacet {
  row: string;
  panel: string;
  title: string;
  field: string;
}

/** The data of a page before any shopper is sent. */
export interface RehearsalStage {
  facets: RehearsedFacet[];
  products: number;
}

/** A list of real visits as it was read. */
export type VisitsRead =
  | { header: string[]; columns: VisitColumns; visits: Visits; choices?: undefined }
  | { choices: ChosenFields };

/** Cached catalogues: the draft's and those of compared editions. */
const catalogues = new LRUCache<string, Promise<LocalFacts>>({ max: 3 });
let turn = 0;

/** Number of shoppers sent again under each varied assumption. */
const spanned = 500;

/** Lets messages in, such as a stop during a run. */
const breathe = (): Promise<void> => new Promise((done) => setTimeout(done));

function factsAt(data: string): Promise<LocalFacts> {
  const known = catalogues.get(data);
  if (known) return known;
  const facts = (async () => {
    const response = await fetch(data);
    if (!response.ok) throw new Error(`The catalogue could not be fetched (${response.status}).`);
    return new LocalFacts(new CatalogueIndex(decodeCatalogue(new Uint8Array(await response.arrayBuffer()))));
  })();
  catalogues.set(data, facts);
  facts.catch(() => catalogues.delete(data));
  return facts;
}

function sceneFor(facts: LocalFacts, order: Order, changed?: { slug: string; document: PanelDocument }): Scene {
  const { stand, address, band, measures } = order;
  const panels = new Map(
    stand.panels.map(({ slug, document }) => [slug, slug === changed?.slug ? changed.document : document]),
  );
  // Measurements apply to the panel as it was; a changed one is estimated throughout, as is its counterpart in a
  // comparison.
  const scene = pageScene(facts, address, stand.pages, panels, band, changed ? new Map() : measures);
  if (!scene) throw new Error(`There is no page ${address}.`);
  return scene;
}

const withOf = ({ shoppers, seed, weighing, assumptions }: Order) => ({ shoppers, seed, weighing, assumptions });

/** Sends trial shoppers in a worker. A new task cancels the one under way. */
const service = {
  stop(): void {
    turn++;
  },

  async open(order: Order): Promise<RehearsalStage> {
    const facts = await factsAt(order.data);
    const scene = sceneFor(facts, order);
    return {
      facets: scene.facets.map(({ row, panel }) => ({
        row: row.id,
        panel,
        title: rowTitle(row, (key) => facts.index.field(key)),
        field: row.field,
      })),
      products: facts.engine.page(scene.within).outOf,
    };
  },

  /** Reads a list of real visits. @throws Error if no column names products */
  async visits(data: string, text: string, chosen?: VisitColumns): Promise<VisitsRead> {
    const { catalogue } = (await factsAt(data)).index;
    const { header, records } = readCsv(text);
    const rows = records.map(({ cells }) => cells);
    const columns = chosen ?? guessColumns(catalogue, header, rows);
    const choices = chosen ? undefined : guessChoiceColumns(catalogue, header, rows);
    // If every row names a field, a match with a product's name is chance.
    if (choices) return { choices: countChoices(catalogue, rows, choices) };
    if (!columns)
      throw new Error(
        "No column of this file names products or facets of the catalogue. It needs ids, SKUs, titles or addresses of products, or names of fields.",
      );
    return { header: [...header], columns, visits: countVisits(catalogue, rows, columns) };
  },

  /** @param tell receives walks as they finish */
  async run(order: Order, tell: (walks: Walk[]) => unknown): Promise<void> {
    const mine = ++turn;
    const facts = await factsAt(order.data);
    for (const walks of runRehearsal(facts.engine, sceneFor(facts, order), withOf(order))) {
      if (mine !== turn) return;
      // Awaited, so that none is missing at the end.
      await tell(walks);
    }
  },

  /** See {@link fewestChoices}. */
  async fewest(order: Order, walks: readonly Walk[]): Promise<number | undefined> {
    const facts = await factsAt(order.data);
    return fewestChoices(facts.engine, sceneFor(facts, order), assumed(order.assumptions).first, walks);
  },

  /** How the success rate depends on the assumptions; undefined if another task was started. */
  async span(order: Order): Promise<Span | undefined> {
    const mine = turn;
    const facts = await factsAt(order.data);
    const scene = sceneFor(facts, order);
    const shoppers = Math.min(spanned, order.shoppers);
    const search = outcomeSpan(order.assumptions, (assumptions) =>
      rehearsed(facts.engine, scene, { ...withOf(order), shoppers, assumptions }),
    );
    for (;;) {
      const step = search.next();
      if (step.done) return step.value;
      await breathe();
      if (mine !== turn) return undefined;
    }
  },

  /** The difference in success rate, under the assumptions and at their extremes. Heights are estimated for both. */
  async against(before: Order, after: Order): Promise<Robust> {
    const sides = await Promise.all(
      [before, after].map(async (order) => {
        const facts = await factsAt(order.data);
        const scene = sceneFor(facts, { ...order, measures: new Map() });
        return (assumptions: Assumptions) => rehearsed(facts.engine, scene, { ...withOf(order), assumptions });
      }),
    );
    return robust(after.assumptions, (assumptions) => {
      const [one, other] = sides.map((send) => send(assumptions));
      return [one ?? [], other ?? []];
    });
  },

  /** The effect of removing each of some facets. @param tell called for one facet after another */
  async without(
    order: Order,
    facets: readonly RehearsedFacet[],
    tell: (row: string, differences: MeasureDifference[]) => void,
  ): Promise<void> {
    const mine = turn;
    const facts = await factsAt(order.data);
    const documents = new Map(order.stand.panels.map(({ slug, document }) => [slug, document]));
    const estimated = { ...order, measures: new Map() };
    const base = rehearsed(facts.engine, sceneFor(facts, estimated), withOf(order));
    for (const { row, panel, title } of facets) {
      await breathe();
      const document = documents.get(panel);
      if (mine !== turn) return;
      if (!document) continue;
      const scene = sceneFor(facts, estimated, { slug: panel, document: edited(document, removeRow(row, title)) });
      tell(row, compareWalks(base, rehearsed(facts.engine, scene, withOf(order))));
    }
  },

  /** The second minus the first, with the same shoppers. Heights are estimated for both. */
  async compare(before: Order, after: Order): Promise<MeasureDifference[]> {
    const [one, other] = [await factsAt(before.data), await factsAt(after.data)];
    const walks = (facts: LocalFacts, order: Order) =>
      rehearsed(facts.engine, sceneFor(facts, { ...order, measures: new Map() }), withOf(order));
    return compareWalks(walks(one, before), walks(other, after));
  },

  /** Better changes of a panel. @param tell receives the progress, from 0 to 1 */
  async propose(order: Order, slug: string, tell: (share: number) => void): Promise<Proposal[]> {
    const mine = turn;
    const facts = await factsAt(order.data);
    const panel = order.stand.panels.find((one) => one.slug === slug)?.document;
    if (!panel) return [];
    const titles = new Map(
      sceneFor(facts, order).facets.map(({ row }) => [row.id, rowTitle(row, (key) => facts.index.field(key))]),
    );
    const search = propose(panel, {
      optionsOf: offeredBy(facts, panel.rows, order.band, sceneFor(facts, order).within),
      band: order.band,
      seed: order.seed,
      maxSeconds: assumed(order.assumptions).maxSeconds,
      titleOf: (row) => titles.get(row) ?? row,
      profileOf: (field) => facts.profile(field),
      run: (document, shoppers, seed) =>
        rehearsed(facts.engine, sceneFor(facts, order, { slug, document }), { ...withOf(order), shoppers, seed }),
    });
    for (;;) {
      const step = search.next();
      if (step.done) return step.value;
      if (mine !== turn) return [];
      tell(step.value);
      await breathe();
    }
  },
};
export type RehearsalService = typeof service;
expose(service);
