import { type Catalogue, valuesOf } from "../src/core/catalogue/catalogue.ts";
import { countsOf } from "../src/core/engine/engine.ts";
import { CatalogueIndex } from "../src/core/engine/index/catalogue-index.ts";
import type { Choice, Facet } from "../src/core/engine/question.ts";
import { offeredOptions, shownOn } from "../src/core/panel/offered.ts";
import { engineFacets, facetRows } from "../src/core/panel/panel.ts";
import type { FacetRow, PanelDocument } from "../src/core/panel/panel-schema.ts";
import { LocalFacts } from "../src/core/profile/local-facts.ts";
import { Rows } from "../src/core/recount/rows.ts";
import type { Band } from "../src/core/settings/band.ts";
import { resolve } from "../src/core/settings/band.ts";
import { behaviours } from "../src/core/settings/behaviour.ts";
import { settingsOn } from "../src/core/settings/settings.ts";

/** A shopper's result. */
export interface WalkAgain {
  target: number;
  ending: "arrived" | "nothing helps" | "patience";
  moves: { row: string; after: number }[];
  deadEnds: { row: string; kind: "missing" | "empty" }[];
  seconds: number;
  px: number;
}

/** FNV-1a over the names' UTF-16 units, each followed by a zero unit, then the finaliser of MurmurHash3, over 2³². */
export function drawn(...names: (string | number)[]): number {
  let hash = 2166136261n;
  for (const unit of names.flatMap((name) => [...`${name}\0`.split("").map((one) => BigInt(one.charCodeAt(0)))]))
    hash = ((hash ^ unit) * 16777619n) & 0xffffffffn;
  hash = ((hash ^ (hash >> 16n)) * 0x85ebca6bn) & 0xffffffffn;
  hash = ((hash ^ (hash >> 13n)) * 0xc2b2ae35n) & 0xffffffffn;
  return Number(hash ^ (hash >> 16n)) / 2 ** 32;
}

const knownShares: Record<string, number> = { category: 0.8, price: 0.5, brand: 0.3 };
const time = {
  wide: { K: 0.28, B: 0.28, P: 1.1, H: 0.4, M: 1.35 },
  narrow: { K: 0.33, B: 0, P: 0.43, H: 0, M: 1.35 },
};
const reading = 0.23;
const looking = 0.46;
const screens: Record<Band, number> = { wide: 700, medium: 1010, slim: 740 };
const cardsOf: Record<Band, { columns: number; height: number }> = {
  wide: { columns: 4, height: 300 },
  medium: { columns: 3, height: 320 },
  slim: { columns: 2, height: 280 },
};
const roomOf: Record<string, "lines" | "rows" | "control" | "range"> = {
  "check-boxes": "lines",
  tree: "lines",
  tiles: "rows",
  dropdown: "control",
  switch: "control",
  slider: "range",
};

/**
 * The rehearsal, written down from its document (docs/rehearsal.md) and nothing else, for one panel on a page of all
 * products whose heights are estimated. Counts are made by reading rows.
 */
export function walkAgain(
  catalogue: Catalogue,
  panel: PanelDocument,
  band: Band,
  { seed, known, first: firstCards }: { seed: number; known: number; first: number },
  n: number,
): WalkAgain {
  const rows = new Rows(catalogue);
  const products = catalogue.productIds.map((_, product) => product);
  const seconds = band === "wide" ? time.wide : time.narrow;
  const screen = screens[band];
  const cards = cardsOf[band];
  const asked = new Map(engineFacets(panel, band).map((facet) => [facet.field, facet]));
  const facts = new LocalFacts(new CatalogueIndex(catalogue));
  const answer = facts.ask(countsOf([...asked.values()]));

  // The shopper.
  const variantOf = (product: number, ...names: (string | number)[]) => {
    const variants = rows.variantsOf(product);
    return variants[Math.floor(drawn(seed, n, ...names) * variants.length)];
  };
  const target = Math.floor(drawn(seed, n, "target") * products.length);
  const targetVariant = variantOf(target, "variant");
  const believes = (key: string): { product: number; variant: number } | undefined => {
    const field = catalogue.fields.find((one) => one.key === key);
    const numeric = field?.kind === "number" || field?.kind === "date";
    const share = Math.min(1, (knownShares[field?.role ?? ""] ?? (numeric ? 0.25 : 0.4)) * known);
    if (drawn(seed, n, "knows", key) >= share) return undefined;
    if (drawn(seed, n, "mistaken", key) >= 0.05) return { product: target, variant: targetVariant };
    const other = Math.floor(drawn(seed, n, "instead", key) * products.length);
    return { product: other, variant: variantOf(other, "its variant", key) };
  };

  // The page.
  const placement = resolve(panel.placement, band);
  const inDrawer = placement === "drawer";
  const behaviour = behaviours.allOn(panel.behaviour ?? {}, band);
  const stays = inDrawer ? behaviour.buttonPlace === "float" : behaviour.sticky;
  const offeredIn = (row: FacetRow): string[] => {
    const found = answer.facets[row.field];
    return offeredOptions(row, shownOn(row, band), found).map((o) => found.options[o].id);
  };
  let below = 0;
  const facets = facetRows(panel).map((row) => {
    const settings = settingsOn(row.settings, band);
    const display = resolve(row.display, band);
    const slim = band === "slim";
    const options = offeredIn(row).length;
    const many = settings.foldAfter * (display === "tiles" ? 2 : 1);
    const shown = settings.foldAfter > 0 && options > many + 1 ? many : options;
    const folded = settings.title && settings.start === "folded";
    const head = settings.title ? (slim ? 56 : 48) : 12;
    const line = slim ? 44 : 30;
    const inARow = roomOf[display] === "rows" ? 5 : 1;
    const body = {
      control: slim ? 52 : 44,
      range: slim ? 150 : 140,
      lines: Math.ceil(shown / inARow) * line + (shown < options ? line : 0),
      rows: Math.ceil(shown / inARow) * line + (shown < options ? line : 0),
    }[roomOf[display]];
    const height = folded ? head : head + body;
    const top = below;
    below += height;
    return { row, settings, display, folded, facet: asked.get(row.field) as Facet, top, height, many };
  });
  const panelTop = inDrawer ? 0 : 130;
  const window = inDrawer ? screen - 130 : screen;

  // The result so far.
  const result: WalkAgain = { target, ending: "patience", moves: [], deadEnds: [], seconds: 0, px: 0 };
  let choices: Record<string, Choice> = {};
  let inside = false;
  let [page, own] = [0, 0];
  const answered = new Set<string>();
  const matching = (given: Record<string, Choice>) =>
    products.filter((product) =>
      rows.matches(product, { within: [], facets: [...asked.values()], choices: given, text: "" }),
    );
  let left = matching(choices);
  const spend = (acts: string) => {
    for (const act of acts) result.seconds += seconds[act as keyof typeof seconds];
  };
  const scrollBy = (px: number) => {
    result.px += px;
    result.seconds += (0.8 * px) / screen;
  };
  const scrollTo = (y: number) => {
    scrollBy(Math.abs(y - page));
    page = y;
  };
  const look = (): boolean => {
    const first = left.slice(0, firstCards);
    const at = first.indexOf(target);
    const seen = at < 0 ? first.length : at + 1;
    result.seconds += looking * seen;
    if (seen > 0) scrollTo(Math.max(page, 130 + Math.ceil(seen / cards.columns) * cards.height - screen));
    return at >= 0;
  };
  const leave = (): boolean => {
    if (!inside) return false;
    spend("PB");
    inside = false;
    own = 0;
    return true;
  };

  interface Found {
    at: (typeof facets)[number];
    choice: Choice;
    left: number;
    cost(): void;
  }
  const answerTo = (one: (typeof facets)[number], thing: { product: number; variant: number }) => {
    const { row, facet, display, settings } = one;
    const field = row.field;
    const judged = isOfVariants(catalogue, rows, field) ? thing.variant : rows.variantsOf(thing.product)[0];
    const values = valuesOf(catalogue, field, judged);
    const finds = (choice: Choice) => matching({ ...choices, [field]: choice }).length;
    if (facet.mode === "range") {
      const value = Number(values[0]);
      if (values.length === 0 || Number.isNaN(value)) return undefined;
      const all = products.flatMap((product) =>
        rows.variantsOf(product).flatMap((variant) => valuesOf(catalogue, field, variant).map(Number)),
      );
      const [least, most] = [Math.min(...all), Math.max(...all)];
      const width = Math.min(Math.abs(value) * 0.25, (most - least) / 8);
      const choice: Choice = {
        ...(value - width > least ? { min: value - width } : {}),
        ...(value + width < most ? { max: value + width } : {}),
      };
      const ends = Object.keys(choice).length;
      if (ends === 0) return undefined;
      const cost = () => {
        result.seconds += reading * ends;
        spend("PBPB".repeat(ends));
      };
      return { at: one, choice, left: finds(choice), cost };
    }
    const options = answer.facets[field].options.map(({ id }) => id);
    const stated = new Set(
      values.flatMap((text) => {
        const id = text.trim().replace(/\s+/g, " ").toLowerCase();
        if (facet.mode !== "tree") return [id];
        return id.split(" > ").map((_, depth, levels) => levels.slice(0, depth + 1).join(" > "));
      }),
    );
    if (stated.size === 0) return undefined;
    const offered = offeredIn(row);
    const mine = options
      .filter((id) => stated.has(id) && offered.includes(id))
      .map((id) => ({ id, left: finds({ options: [id] }) }));
    if (mine.length === 0) return display === "switch" ? undefined : "missing";
    const some = mine.filter((option) => option.left > 0);
    const best = some.reduce((least, option) => (option.left < least.left ? option : least), some[0]) ?? mine[0];
    if (best.left === 0 && settings.emptyOptions !== "keep") return "missing";
    const cost = () => {
      const shown = offered.filter(
        (id) => id === best.id || settings.emptyOptions !== "drop" || finds({ options: [id] }) > 0,
      );
      const at = shown.indexOf(best.id);
      if (display === "tree" && settings.nested) {
        const path = best.id.split(" > ").map((_, depth, levels) => levels.slice(0, depth + 1).join(" > "));
        const parent = (id: string) => id.split(" > ").slice(0, -1).join(" > ");
        for (const branch of path) {
          const beside = shown.filter((id) => parent(id) === parent(branch));
          result.seconds += reading * (beside.indexOf(branch) + 1);
        }
        spend("PB".repeat(path.length - 1));
      } else {
        result.seconds += reading * (at + 1);
        const hides = display !== "dropdown" && display !== "tree" && one.settings.foldAfter > 0;
        if (hides && shown.length > one.many + 1 && at >= one.many) spend("PB");
      }
      spend(display === "dropdown" ? "PBPB" : "PB");
    };
    return { at: one, choice: { options: [best.id] }, left: best.left, cost };
  };
  const bestOf = (inSight: typeof facets): Found | undefined => {
    let best: Found | undefined;
    for (const one of inSight) {
      const thing = believes(one.row.field);
      const found = thing && answerTo(one, thing);
      if (found === "missing") {
        answered.add(one.row.field);
        result.deadEnds.push({ row: one.row.id, kind: "missing" });
        spend("M");
      } else if (found && found.left < left.length && (!best || found.left < best.left)) best = found;
    }
    return best;
  };
  const seek = (): Found | undefined => {
    const untried = facets.filter(({ row }) => !answered.has(row.field));
    if (!untried.some(({ row }) => believes(row.field))) return undefined;
    if (!inside) {
      if (!stays) scrollTo(0);
      own = 0;
      if (inDrawer) {
        spend("MPB");
        inside = true;
      }
    }
    const byItself = inDrawer || stays;
    const end = Math.max(...untried.map(({ top, height }) => top + height));
    let seen = 0;
    for (;;) {
      const to = byItself ? own + window : page + window - panelTop;
      const inSight = untried.filter(({ top }) => top >= seen && top < to);
      result.seconds += reading * inSight.length;
      const best = bestOf(inSight);
      if (best || to >= end) return best;
      seen = to;
      const step = Math.min(0.8 * window, end - to + 40);
      scrollBy(step);
      if (byItself) own += step;
      else page += step;
    }
  };

  const end = (ending: WalkAgain["ending"]): WalkAgain => {
    result.ending = leave() && look() ? "arrived" : ending;
    return result;
  };
  for (;;) {
    if (!inside && look()) return end("arrived");
    if (result.moves.length >= 8 || result.seconds >= 120) return end("patience");
    const found = seek();
    if (!found) return end("nothing helps");
    answered.add(found.at.row.field);
    found.cost();
    spend("M");
    if (found.at.folded) spend("PB");
    const next = { ...choices, [found.at.row.field]: found.choice };
    const after = matching(next);
    if (after.length === 0) {
      result.deadEnds.push({ row: found.at.row.id, kind: "empty" });
      spend("MPB");
      continue;
    }
    choices = next;
    left = after;
    result.moves.push({ row: found.at.row.id, after: left.length });
    if (inDrawer) {
      if (left.length <= firstCards) leave();
    } else if (behaviour.back === "top") page = 0;
    else scrollTo(0);
  }
}

const isOfVariants = (catalogue: Catalogue, rows: Rows, field: string): boolean =>
  field === "price" ||
  catalogue.productIds.some((_, product) => {
    const said = rows
      .variantsOf(product)
      .map((variant) =>
        [...new Set(valuesOf(catalogue, field, variant).map((one) => one.trim().toLowerCase()))].sort().join("|"),
      );
    return new Set(said).size > 1;
  });
