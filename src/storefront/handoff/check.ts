/**
 * The page checks itself: a script of its own, which the elements load at the address `#trellis-check`. It reads only
 * what every site can (the elements, their marks, the handoff's files), and shows a report to copy or download.
 */
import type { SiteCheck } from "../../core/api/site-check.ts";
import { stickyHeight } from "../../core/page/bars.ts";
import { counted, siteProblems } from "../../core/report/site-problems.ts";
import { groupOf } from "./group-name.ts";
import { marksIn, productMark } from "./marks.ts";
import { membersOfPage } from "./members.ts";
import { type HandoffManifest, handoffFormat, manifestName, type ShopFile } from "./wire.ts";

const place = new URL(/* @vite-ignore */ ".", import.meta.url);

/** Entries of the browser's own record, those from before included. */
function recorded(type: string): Promise<PerformanceEntry[]> {
  return new Promise((done) => {
    const found: PerformanceEntry[] = [];
    try {
      new PerformanceObserver((list) => found.push(...list.getEntries())).observe({ type, buffered: true });
    } catch {
      // A browser without this record has nothing to say of it.
    }
    setTimeout(() => done(found), 300);
  });
}

/** Addresses that the page's policy has refused, as far as the browser has kept them. */
function refused(): Promise<string[]> {
  return new Promise((done) => {
    const found = new Set<string>();
    if (!("ReportingObserver" in globalThis)) return done([]);
    new ReportingObserver(
      (reports) => {
        for (const { body } of reports) {
          const { effectiveDirective, blockedURL } = Object(body);
          found.add(`${effectiveDirective}: ${blockedURL || "inline"}`);
        }
      },
      { types: ["csp-violation"], buffered: true },
    ).observe();
    setTimeout(() => done([...found]), 300);
  });
}

/** Height in CSS px that fixed and sticky bars cover at the top of the window once the page is scrolled. */
function coveredAtTop(): number {
  let covered = 0;
  for (const element of document.querySelectorAll("body *")) {
    const { position, top } = getComputedStyle(element);
    if ((position !== "fixed" && position !== "sticky") || element.closest("trellis-panel, trellis-listing")) continue;
    const { width, height } = element.getBoundingClientRect();
    const start = Number.parseFloat(top);
    // A column beside the list, or a button in a corner, is not a bar.
    if (width >= innerWidth / 2 && height < innerHeight / 2 && start < innerHeight / 4)
      covered = Math.max(covered, start + height);
  }
  return Math.round(covered);
}

/** The first families of the panels' text that the browser doesn't have. */
function missingFonts(): string[] {
  const generic = /^(?:serif|sans-serif|monospace|system-ui|ui-[\w-]+|inherit)$/;
  const families = new Set(
    [...document.querySelectorAll(".zt-root .zt-panel")].map((panel) =>
      (getComputedStyle(panel).fontFamily.split(",")[0] ?? "").trim().replace(/^["']|["']$/g, ""),
    ),
  );
  return [...families].filter((family) => family && !generic.test(family) && !document.fonts.check(`16px "${family}"`));
}

function listsOf(group: string): SiteCheck["lists"] {
  const inGroup = membersOfPage().filter((one) => groupOf(one) === group);
  const known = new Set(inGroup.find((one) => one.localName === "trellis-panel")?.found() ?? []);
  const chosen = inGroup.some(
    ({ selection }) => selection && (selection.text !== "" || Object.keys(selection.choices).length > 0),
  );
  return marksIn(group, "list").map((list) => {
    const marked = [...list.querySelectorAll(`[${productMark}]`), ...(list.matches(`[${productMark}]`) ? [list] : [])];
    const ids = marked.map((one) => one.getAttribute(productMark) ?? "");
    const here = new Set(ids);
    return {
      group,
      products: ids.length,
      twice: [...new Set(ids.filter((id, at) => ids.indexOf(id) !== at))].slice(0, 100),
      // With a choice the panel finds only some of its products, so nothing can be said of the others.
      unknown: chosen ? undefined : ids.filter((id) => !known.has(id)).slice(0, 100),
      missing: chosen ? undefined : [...known].filter((id) => !here.has(id)).slice(0, 100),
    };
  });
}

/** Checks the page. @throws Error where the handoff's files can't be read */
async function check(): Promise<SiteCheck> {
  const manifest: HandoffManifest = await (await fetch(new URL(manifestName, place), { cache: "no-cache" })).json();
  const shop: ShopFile = await (await fetch(new URL(manifest.files.shop, place))).json();
  const [shifts, violations] = await Promise.all([recorded("layout-shift"), refused()]);
  const members = membersOfPage();
  const [first] = members.flatMap((one) => one.place ?? []);
  const groups = [...new Set(members.map(groupOf))];
  const shift = shifts.reduce(
    (sum, entry) => sum + (Object(entry).hadRecentInput ? 0 : Number(Object(entry).value)),
    0,
  );
  return {
    format: 1,
    at: new Date().toISOString(),
    address: location.href,
    handoff: {
      format: handoffFormat,
      ...(shop.edition === undefined ? {} : { edition: shop.edition }),
      files: manifest.files,
    },
    screen: { width: innerWidth, height: innerHeight, ...(first ? { band: first.band } : {}) },
    panels: members
      .filter((one) => one.localName === "trellis-panel")
      .map((one) => ({
        panel: one.getAttribute("panel") ?? one.getAttribute("name") ?? "",
        group: groupOf(one),
        page: one.place?.page ?? "",
        ready: one.results !== undefined && one.place !== undefined,
        products: one.results?.outOf ?? 0,
      })),
    listings: members.filter((one) => one.localName === "trellis-listing").length,
    lists: groups.flatMap(listsOf),
    bars: { measured: coveredAtTop(), expected: first ? stickyHeight(shop.bars, first.band) : 0 },
    missingFonts: missingFonts(),
    violations: violations.slice(0, 100),
    shift: Number(shift.toFixed(4)),
  };
}

/** Shows the report in a corner of the page, apart from its styles. */
function show(report: SiteCheck): void {
  const host = document.createElement("trellis-check");
  const root = host.attachShadow({ mode: "open" });
  const sheet = new CSSStyleSheet();
  sheet.replaceSync(`
    :host { all: initial; position: fixed; inset: auto 16px 16px auto; z-index: 2147483647; }
    section { box-sizing: border-box; width: min(420px, calc(100vw - 32px)); max-height: 70vh; overflow: auto; padding: 16px; border: 1px solid #2e1a3a; border-radius: 8px; background: #fffef9; color: #1d1524; font: 14px/1.45 system-ui, sans-serif; box-shadow: 0 8px 30px rgb(0 0 0 / 0.25); }
    h2 { margin: 0 0 8px; font-size: 16px; } ul { margin: 8px 0; padding-inline-start: 20px; } p { margin: 4px 0; }
    button { margin: 8px 8px 0 0; padding: 6px 12px; border: 1px solid #2e1a3a; border-radius: 6px; background: #fff; color: inherit; font: inherit; cursor: pointer; }
    button:focus-visible { outline: 3px solid #b4561b; outline-offset: 2px; }`);
  root.adoptedStyleSheets = [sheet];
  const problems = siteProblems(report);
  const { edition } = report.handoff;
  const text = [
    `${counted(report.panels.length, "panel")} (${report.panels.map(({ panel, products }) => `${panel}: ${counted(products, "product")}`).join(", ")}), ${counted(report.listings + report.lists.length, "list")}.`,
    `${edition === undefined ? "No edition" : `Edition ${edition}`}, ${report.screen.width} px wide${report.screen.band ? ` (${report.screen.band})` : ""}, shift ${report.shift}.`,
  ];
  const section = document.createElement("section");
  section.setAttribute("role", "dialog");
  section.setAttribute("aria-label", "Check of this page");
  const put = (name: string, content: string, into: Element = section): HTMLElement => {
    const element = document.createElement(name);
    element.textContent = content;
    into.append(element);
    return element;
  };
  put(
    "h2",
    problems.length === 0
      ? "Nothing is wrong on this page"
      : problems.length === 1
        ? "One thing to look at"
        : `${problems.length} things to look at`,
  );
  for (const line of text) put("p", line);
  const list = put("ul", "");
  for (const problem of problems) put("li", problem, list);
  const json = JSON.stringify(report, null, 2);
  put("button", "Copy").addEventListener("click", () => navigator.clipboard.writeText(json));
  put("button", "Download").addEventListener("click", () => {
    const link = document.createElement("a");
    link.href = URL.createObjectURL(new Blob([json], { type: "application/json" }));
    link.download = "trellis-check.json";
    link.click();
    setTimeout(() => URL.revokeObjectURL(link.href), 1000);
  });
  put("button", "Close").addEventListener("click", () => host.remove());
  root.append(section);
  document.querySelector("trellis-check")?.remove();
  document.body.append(host);
}

check().then(show, (error: Error) => console.error(`trellis: The page can’t be checked: ${error.message}`));
