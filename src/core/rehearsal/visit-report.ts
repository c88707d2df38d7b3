import { group, median } from "d3-array";
import { type Visit, visit, visitFormat } from "../api/visit.ts";
import {
  type EditionVisits,
  type FieldUse,
  type LineFault,
  lineFaults,
  maxListed,
  type PageVisits,
  type Share,
  type VisitReport,
} from "../api/visit-report.ts";
import { wilsonInterval } from "../catalogue/numbers/wilson.ts";
import { quickCheck } from "../document/quick-check.ts";
import { checkValue, InvalidDocument } from "../document/schema.ts";
import type { Band } from "../settings/band.ts";

/** Maximum number of lines of one tab: more are a machine's. Common practice, no source. */
export const maxLinesOfTab = 5000;
/** Maximum number of characters of reported search words. */
const maxWords = 200;
/** Seconds by which clocks may differ. Common practice, no source. */
const clocks = 24 * 3600;

const numbers = ["format", "edition", "before", "after", "ms"];

/** A visit from cells: numbers as they are written, several options joined by `|`, a range as JSON. */
const visitOfRow = (row: Readonly<Record<string, string>>): Record<string, unknown> =>
  Object.fromEntries(
    Object.entries(row).flatMap(([name, cell]): [string, unknown][] => {
      if (cell === "") return [];
      if (numbers.includes(name)) return [[name, Number(cell)]];
      if (name !== "chosen") return [[name, cell]];
      return [[name, cell.startsWith("{") ? rangeOf(cell) : cell.split("|")]];
    }),
  );

function rangeOf(cell: string): unknown {
  try {
    return JSON.parse(cell);
  } catch {
    return cell;
  }
}

const isVisit = quickCheck(visit);

/** A visit, or undefined for anything else. */
function readVisit(value: unknown): Visit | undefined {
  if (isVisit(value)) return value;
  try {
    return checkValue("visit", visit, value);
  } catch (error) {
    if (error instanceof InvalidDocument) return undefined;
    throw error;
  }
}

/** The acts in one field. */
interface Uses {
  chosen: number;
  removed: number;
  options: Set<string>;
  isUnfolded: boolean;
}

/** One tab on one page. A file may have millions, so what few of them have is not there for the others. */
interface Stay {
  page: string;
  band: Band;
  /** Of its first line. */
  edition: number | undefined;
  /** Time of its first line, in ms since 1970. */
  since: number;
  choices: number;
  choicesBefore: number | undefined;
  secondsBefore: number | undefined;
  isEmpty: boolean;
  fields: Map<string, Uses> | undefined;
  vain: Set<string> | undefined;
  sorts: Set<string> | undefined;
  ms: number[] | undefined;
}

const newStay = ({ band, edition, at }: Visit, page: string): Stay => ({
  page,
  band,
  edition,
  since: Date.parse(at),
  choices: 0,
  choicesBefore: undefined,
  secondsBefore: undefined,
  isEmpty: false,
  fields: undefined,
  vain: undefined,
  sorts: undefined,
  ms: undefined,
});

/** Reads visits line by line, so that a file of any size fits. */
export class VisitReader {
  #stays = new Map<string, Stay>();
  #ofTab = new Map<string, number>();
  #editions = new Set<number>();
  /** Texts that many visits share, each kept once: every line of JSON comes with copies of its own. */
  #texts = new Map<string, string>();
  #left = new Map<LineFault, { lines: number; first: number }>();
  #line = 0;
  #counted = 0;
  #until: number;

  /** @param now in ms since 1970 */
  constructor(now: number) {
    this.#until = now + clocks * 1000;
  }

  /** Takes the next line of JSON; an empty one says nothing. */
  add(line: string): void {
    this.#line++;
    if (line.trim() === "") return;
    let value: unknown;
    try {
      value = JSON.parse(line);
    } catch {
      value = undefined;
    }
    this.#take(value === undefined ? "not JSON" : this.#read(value));
  }

  /** Takes the next row of a table whose headings are the members of a visit. @param row its cells by heading */
  addRow(row: Readonly<Record<string, string>>): void {
    // The headings are the first line.
    this.#line = Math.max(this.#line, 1) + 1;
    this.#take(this.#read(visitOfRow(row)));
  }

  #take(read: Visit | LineFault): void {
    if (typeof read === "string") {
      const left = this.#left.get(read) ?? { lines: 0, first: this.#line };
      this.#left.set(read, { ...left, lines: left.lines + 1 });
    } else {
      this.#counted++;
      this.#count(read);
    }
  }

  #read(value: unknown): Visit | LineFault {
    const { format } = Object(value);
    if (typeof format === "number" && format !== visitFormat) return "another version";
    const one = readVisit(value);
    if (one === undefined) return "not a visit";
    if (Date.parse(one.at) > this.#until) return "from the future";
    const lines = (this.#ofTab.get(one.tab) ?? 0) + 1;
    this.#ofTab.set(one.tab, lines);
    return lines > maxLinesOfTab ? "too many of one tab" : one;
  }

  #shared(text: string): string {
    const known = this.#texts.get(text);
    if (known === undefined) this.#texts.set(text, text);
    return known ?? text;
  }

  #count(one: Visit): void {
    const { at, tab, page, band, act, field, chosen, text, ms, edition } = one;
    if (edition !== undefined) this.#editions.add(edition);
    const key = JSON.stringify([tab, page, band]);
    const stay = this.#stays.get(key) ?? newStay(one, this.#shared(page));
    this.#stays.set(key, stay);
    if (ms !== undefined) {
      stay.ms ??= [];
      stay.ms.push(ms);
    }
    if (act === "nothing") {
      stay.isEmpty = true;
      if (text) {
        stay.vain ??= new Set();
        stay.vain.add(text.toLowerCase().slice(0, maxWords));
      }
    } else if (act === "sort" && text) {
      stay.sorts ??= new Set();
      stay.sorts.add(this.#shared(text));
    } else if (act === "open") {
      stay.choicesBefore ??= stay.choices;
      stay.secondsBefore ??= Math.max(0, Date.parse(at) - stay.since) / 1000;
    } else if ((act === "choose" || act === "remove" || act === "unfold") && field !== undefined) {
      stay.fields ??= new Map();
      const use = stay.fields.get(field) ?? { chosen: 0, removed: 0, options: new Set<string>(), isUnfolded: false };
      stay.fields.set(this.#shared(field), use);
      if (act === "remove") use.removed++;
      else if (act === "unfold") use.isUnfolded = true;
      else {
        stay.choices++;
        use.chosen++;
        if (Array.isArray(chosen)) for (const option of chosen) use.options.add(this.#shared(option));
      }
    }
  }

  /** Figures from the lines so far. */
  report(): VisitReport {
    const stays = [...this.#stays.values()];
    const editions = [...this.#editions].sort((a, b) => a - b);
    const pages = group(stays, ({ page, band }) => JSON.stringify([page, band]));
    return {
      lines: this.#counted,
      left: lineFaults.flatMap((why) => {
        const left = this.#left.get(why);
        return left ? [{ why, ...left }] : [];
      }),
      editions,
      ofEditions: editions.map((edition) => editionVisits(edition, stays)),
      pages: [...pages.values()].map(pageVisits).sort((a, b) => b.visits - a.visits),
    };
  }
}

function editionVisits(edition: number, stays: readonly Stay[]): EditionVisits {
  const own = stays.filter((stay) => stay.edition === edition);
  const count = (holds: (stay: Stay) => boolean) => own.filter(holds).length;
  return {
    edition,
    visits: own.length,
    choosing: count(({ choices }) => choices > 0),
    empty: count(({ isEmpty }) => isEmpty),
    opening: count(({ choicesBefore }) => choicesBefore !== undefined),
  };
}

function pageVisits(stays: readonly Stay[]): PageVisits {
  const [first] = stays;
  if (!first) throw new RangeError("A page has a visit at least.");
  const share = (holds: (stay: Stay) => boolean) => shareOf(stays.filter(holds).length, stays.length);
  const fields = [...new Set(stays.flatMap(({ fields: own }) => (own ? [...own.keys()] : [])))];
  return {
    page: first.page,
    band: first.band,
    visits: stays.length,
    choosing: share(({ choices }) => choices > 0),
    empty: share(({ isEmpty }) => isEmpty),
    opening: share(({ choicesBefore }) => choicesBefore !== undefined),
    choicesBefore: median(stays.flatMap(({ choicesBefore }) => choicesBefore ?? [])),
    secondsBefore: median(stays.flatMap(({ secondsBefore }) => secondsBefore ?? [])),
    ms: median(stays.flatMap(({ ms }) => ms ?? [])),
    fields: fields.map((field) => fieldUse(field, stays)).sort((a, b) => b.used.hits - a.used.hits),
    sorts: ranked(stays.flatMap(({ sorts }) => sorts ?? [])).map(([sort, visits]) => ({ sort, visits })),
    soughtInVain: ranked(stays.flatMap(({ vain }) => vain ?? [])).map(([words, visits]) => ({ words, visits })),
  };
}

function fieldUse(field: string, stays: readonly Stay[]): FieldUse {
  const uses = stays.flatMap((stay) => stay.fields?.get(field) ?? []);
  const unfolded = uses.filter(({ isUnfolded }) => isUnfolded);
  const sum = (of: "chosen" | "removed") => uses.reduce((all, use) => all + use[of], 0);
  return {
    field,
    used: shareOf(uses.filter(({ chosen }) => chosen > 0).length, stays.length),
    options: ranked(uses.map(({ options }) => options)).map(([option, visits]) => ({ option, visits })),
    removed: shareOf(Math.min(sum("removed"), sum("chosen")), sum("chosen")),
    left: shareOf(unfolded.filter(({ chosen }) => chosen === 0).length, unfolded.length),
  };
}

function shareOf(hits: number, of: number): Share {
  const [low, high] = wilsonInterval(hits, of);
  return { hits, of, low, high };
}

/** The most frequent texts by the number of sets with them, most first. */
function ranked(sets: readonly ReadonlySet<string>[]): [text: string, sets: number][] {
  const counts = new Map<string, number>();
  for (const set of sets) for (const text of set) counts.set(text, (counts.get(text) ?? 0) + 1);
  return [...counts].sort((a, b) => b[1] - a[1]).slice(0, maxListed);
}
