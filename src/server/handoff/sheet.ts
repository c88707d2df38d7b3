import { readFileSync } from "node:fs";
import { basename, join } from "node:path";
import { LRUCache } from "lru-cache";
import type { DisplayName } from "../../core/displays/displays.ts";
import { partRules } from "../../core/look/sheet.ts";
import { parts } from "../../core/look/tokens.ts";
import { stickyHeight } from "../../core/page/bars.ts";
import type { Bar } from "../../core/page/pages-schema.ts";
import { defaultLookSheet } from "../../core/panel/look/page-look.ts";
import { bands } from "../../core/settings/band.ts";
import { bandQueries, resolveBands, resolveScheme } from "../../core/settings/media.ts";
import { placementFacts } from "../../core/settings/placement.ts";
import type { ShopDocument } from "../../core/shop/shop-schema.ts";
import { plainMark } from "../../storefront/handoff/marks.ts";
import { parked } from "../../storefront/handoff/parked-styles.ts";
import { behaviourOn, type PagePanel, placeOf } from "../../storefront/page/page-panel.ts";
import { fontAddress, fontFolders, withFallbacks } from "../fonts.ts";
import { minifyCss } from "../minify-css.ts";
import { displaySheets, panelSheets, sheetText } from "../style-sheet.ts";
import { awaitingRules } from "./early.ts";
import { isolateCss, rootClass, withoutUnusedProperties } from "./isolate-css.ts";
import { hashed } from "./names.ts";

/** Resets a site's own rules: panels start from the browser's defaults. */
const reset = `
.${rootClass} { all: initial; display: block; }
.${rootClass} :not(svg *), .${rootClass} :not(svg *)::before, .${rootClass} :not(svg *)::after { all: revert; }
.${rootClass} svg:not(.zt-bars) { width: 16px; height: 16px; }
.${rootClass} svg :is(path, circle, rect, line, polyline) { opacity: 1; stroke: currentColor; stroke-width: 1.8px; stroke-linecap: round; stroke-linejoin: round; fill: none; transform: none; transition: none; animation: none; }
.${rootClass} svg [fill="currentColor"] { fill: currentColor; }
.${rootClass} svg.zt-bars path { stroke: none; }
`;

interface Wanted {
  limits: ShopDocument["limits"];
  bars: readonly Bar[];
  displays: Iterable<DisplayName>;
  panels: readonly PagePanel[];
  /** The rules of looks, see `page-look.ts` and `page-extra.ts`; bands and dark mode are not resolved yet. */
  looks: string;
  /** The rules that replace style attributes in the markup. */
  parkedStyles: Iterable<string>;
}

/** Isolated rules by their source: two handoffs mostly differ in their catalogue only. */
const isolated = new LRUCache<string, string>({ max: 3 });

/** The style sheet of a handoff, with the font files it uses. Pictures have the addresses used in documents. */
export function handoffSheet({ limits, bars, displays, panels, looks, parkedStyles }: Wanted): {
  css: string;
  fonts: Map<string, Uint8Array>;
} {
  const layer = (name: string, text: string) => `@layer ${name} {\n${text}\n}`;
  const own = Object.entries(parts).filter(([, { group }]) => group !== "Listing" && group !== "Shop");
  const tool = [
    layer("base", defaultLookSheet()),
    layer("base", panelSheets.map(sheetText).join("\n")),
    layer("parts", partRules(own.map(([name]) => name))),
    layer("displays", displaySheets(displays).map(sheetText).join("\n")),
    looks,
  ].join("\n");
  const resolved = resolveScheme(resolveBands(tool, bandQueries(limits)), "shopper");
  const strong = isolated.get(resolved) ?? withoutUnusedProperties(isolateCss(resolved, reset));
  isolated.set(resolved, strong);
  const dressed = withFallbacks(strong, "optional");
  const { faces, fonts } = fontFiles(dressed.faces);
  const css = [
    faces,
    dressed.css,
    "trellis-panel, trellis-listing { display: block; }",
    "[data-trellis-list] > [hidden], [data-trellis-more][hidden], [data-trellis-nothing][hidden] { display: none !important; }",
    // A rule of the site's goes before.
    `:where([${plainMark}]) > :where(li) { display: block; }`,
    // A missing number reserves its line, so that nothing moves when it appears.
    '[data-trellis-count]:empty::before { content: "\\a0"; }',
    "[data-trellis-pages] > nav { display: flex; flex-wrap: wrap; align-items: center; gap: 0.25em; padding-block: 1em; }",
    "[data-trellis-pages] a { padding: 0.25em 0.5em; }",
    "@media (scripting: none) { [data-trellis-more], [data-trellis-sort] { display: none !important; } }",
    awaitingRules,
    stickyRules(panels, bars, limits),
    [...parkedStyles].filter(isPlainStyle).map(parkedRule).join("\n"),
  ].join("\n");
  return { css: minifyCss(css), fonts };
}

/** Makes the files in `@font-face` rules files of the handoff. */
function fontFiles(rules: string): { faces: string; fonts: Map<string, Uint8Array> } {
  const fonts = new Map<string, Uint8Array>();
  const faces = rules.replace(
    new RegExp(`${fontAddress}/([\\w-]+)/([\\w.-]+)`, "g"),
    (_, family: string, file: string) => {
      const bytes = readFileSync(join(fontFolders.get(family) ?? "", basename(file)));
      const name = `fonts/${hashed(basename(file), bytes)}`;
      fonts.set(name, bytes);
      return name;
    },
  );
  return { faces, fonts };
}

/** Room for focus rings, which the panel's own scroll would cut off; its content stays as wide as without. */
const ringRoom = "box-sizing: content-box; margin-inline: -8px; padding-inline: 8px;";

/** Sticky panels, below the site's bars; the site decides what is beside them. */
function stickyRules(panels: readonly PagePanel[], bars: readonly Bar[], limits: ShopDocument["limits"]): string {
  const queries = bandQueries(limits);
  return panels
    .flatMap((one) =>
      bands.map((band) => {
        const { sticky, nudge } = behaviourOn(one.panel, band);
        const { sticks } = placementFacts[placeOf(one, band)];
        if (!sticky || !sticks) return "";
        const top = stickyHeight(bars, band) + nudge;
        if (sticks === "row") return `@media ${queries[band]} { ${rowRules(one.slug, top)} }`;
        return `@media ${queries[band]} { trellis-panel[panel="${one.slug}"] { position: sticky; top: ${top}px; max-height: calc(100vh - ${top}px); ${ringRoom} overflow-y: auto; overscroll-behavior: contain; } }`;
      }),
    )
    .join("\n");
}

/** The same for a row above the site's list, which a script makes sticky if enough of the screen stays free. */
const rowRules = (slug: string, top: number): string => {
  const row = `trellis-panel[panel="${slug}"]`;
  return `${row} { top: ${top}px; } ${row}[data-row-sticky="kept"], ${row}[data-row-sticky="tall"] { position: sticky; z-index: 2; } ${row} > .${rootClass} { background: var(--zt-ground-page); } ${row}[data-row-sticky="tall"] { max-height: calc(100vh - ${top}px); overflow-y: auto; overscroll-behavior: contain; }`;
};

/** Whether a style can be used in a rule as it is: custom properties only, and nothing that could end the rule. */
const isPlainStyle = (style: string): boolean =>
  style !== "" && style.split(";").every((one) => one === "" || /^\s*--[\w-]+:[\w\s.,%#()/+*-]*$/.test(one));

const parkedRule = (style: string): string => `[${parked}="${style}"] { ${style} }`;
