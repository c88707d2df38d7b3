/**
 * Tells what shoppers do, without cookies and without anything about them: a script of its own, which the elements load
 * where one of them has the attribute `visits`. It reads only what every site can: the elements and their events.
 */
import type { Visit, VisitAct } from "../../core/api/visit.ts";
import type { EventDetails } from "./events.ts";
import { groupOf } from "./group-name.ts";
import { listMark, productMark } from "./marks.ts";
import { membersOfPage } from "./members.ts";
import { tabNumber, wantsPrivacy } from "./tab.ts";

type Selection = EventDetails["change"]["selection"];
type Line = Pick<Visit, "field" | "chosen" | "text" | "before" | "after" | "ms">;

const address = membersOfPage()
  .map((one) => one.getAttribute("visits"))
  .find((one) => one !== null);
/** Without storage a number for this page alone. */
const tab = tabNumber() ?? crypto.randomUUID().slice(0, 18);
const waiting: string[] = [];
/** Lines after which a batch is sent. */
const batch = 20;

function send(): void {
  if (!address || waiting.length === 0) return;
  // A beacon that is refused stays for the next occasion; one that was taken is never sent again.
  if (navigator.sendBeacon(address, `${waiting.join("\n")}\n`)) waiting.length = 0;
}

let panel: string | undefined;

/** Tells one act in a group. */
function tell(group: string, act: VisitAct, line: Line = {}): void {
  const member = membersOfPage().find((one) => groupOf(one) === group && one.place);
  if (!member?.place) return;
  const visit: Visit = {
    format: 1,
    at: `${new Date().toISOString().slice(0, 19)}Z`,
    tab,
    ...member.place,
    panel,
    act,
    ...line,
  };
  document.dispatchEvent(new CustomEvent("trellis-visit", { detail: visit }));
  waiting.push(JSON.stringify(visit));
  if (waiting.length >= batch) send();
}

/** The state of a group in the last lines, and the lines that wait for its result. */
interface Known {
  selection: Selection;
  total: number | undefined;
  sort: string;
  page: number;
  act?: { act: VisitAct; line: Line; at: number } | undefined;
}
const groups = new Map<string, Known>();
const known = (group: string): Known => {
  const one = groups.get(group) ?? { selection: { choices: {}, text: "" }, total: undefined, sort: "", page: 1 };
  groups.set(group, one);
  return one;
};

/** The act between two selections. */
function actBetween(was: Selection, is: Selection): { act: VisitAct; line: Line } | undefined {
  if (was.text !== is.text) return { act: "search", line: { text: is.text } };
  if (Object.keys(is.choices).length === 0 && Object.keys(was.choices).length > 1) return { act: "clear", line: {} };
  const fields = [...new Set([...Object.keys(was.choices), ...Object.keys(is.choices)])];
  const field = fields.find((key) => JSON.stringify(was.choices[key]) !== JSON.stringify(is.choices[key]));
  if (field === undefined) return undefined;
  const [before, after] = [was.choices[field], is.choices[field]];
  const options = (choice: typeof before) => (choice && "options" in choice ? choice.options : []);
  const added = options(after).filter((one) => !options(before).includes(one));
  const removed = options(before).filter((one) => !options(after).includes(one));
  if (added.length > 0) return { act: "choose", line: { field, chosen: added } };
  if (removed.length > 0) return { act: "remove", line: { field, chosen: removed } };
  return after && !("options" in after)
    ? { act: "choose", line: { field, chosen: after } }
    : { act: "remove", line: { field } };
}

function onChange({ group, selection }: EventDetails["change"]): void {
  const state = known(group);
  const act = actBetween(state.selection, selection);
  state.act = act && { ...act, at: performance.now() };
  state.selection = selection;
}

function onResults({ group, total, sort, page }: EventDetails["results"]): void {
  const state = known(group);
  const { act, total: before, sort: wasSort, page: wasPage } = state;
  Object.assign(state, { act: undefined, total, sort, page });
  if (!act) {
    if (sort !== wasSort) tell(group, "sort", { text: sort, after: total });
    else if (page !== wasPage) tell(group, "turn", { text: String(page), after: total });
    return;
  }
  const ms = Math.round(performance.now() - act.at);
  tell(group, act.act, { ...act.line, ...(before === undefined ? {} : { before }), after: total, ms });
  if (total === 0) tell(group, "nothing", { text: state.selection.text });
}

/** Follows what is touched: the panel, and the products that are opened. */
function onTouch(event: Event): void {
  const target = event.target instanceof Element ? event.target : undefined;
  const within = target?.closest<HTMLElement>("trellis-panel");
  if (within) panel = within.getAttribute("panel") ?? undefined;
  if (event.type !== "click") return;
  // Before the click the facet is still folded.
  const folded = target?.closest('.zt-fold[aria-expanded="false"]')?.closest<HTMLElement>("[data-field]");
  if (within && folded?.dataset.field) tell(groupOf(within), "unfold", { field: folded.dataset.field });
  if (!target?.closest("a[href]")) return;
  const product = target.closest(`[${productMark}]`)?.getAttribute(productMark);
  const group =
    target.closest("trellis-listing")?.getAttribute("group") ?? target.closest(`[${listMark}]`)?.getAttribute(listMark);
  if (product) tell(group ?? "", "open", { text: product });
}

/** Begins, unless the shopper has said that nothing shall be told. */
function start(): void {
  if (wantsPrivacy()) return;
  for (const type of ["click", "change", "input"]) document.addEventListener(type, onTouch, { capture: true });
  document.addEventListener("trellis-change", (event) =>
    onChange((event as CustomEvent<EventDetails["change"]>).detail),
  );
  document.addEventListener("trellis-results", (event) =>
    onResults((event as CustomEvent<EventDetails["results"]>).detail),
  );
  document.addEventListener("visibilitychange", () => document.visibilityState === "hidden" && send());
  addEventListener("pagehide", send);
  for (const group of new Set(membersOfPage().map(groupOf))) {
    const member = membersOfPage().find((one) => groupOf(one) === group && one.selection);
    const state = known(group);
    state.selection = member?.selection ?? state.selection;
    state.total = member?.results?.total;
    tell(group, "see", member?.results ? { after: member.results.total } : {});
  }
}

start();
