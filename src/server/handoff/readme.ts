import type { Site } from "../../core/shop/shop-schema.ts";
import { type HandoffReport, scriptAim } from "../../core/wire/handoff.ts";

interface Said {
  shop: string;
  site: Site;
  report: HandoffReport;
  tags: string;
  /** Paths of the pieces of markup. */
  pieces: readonly string[];
  table: string;
  card: string;
}

const kB = (bytes: number): string => `${(bytes / 1000).toFixed(1)} kB`;
const block = (language: string, text: string): string => `\`\`\`${language}\n${text.trim()}\n\`\`\``;

/** All that a site's programmer has to know, on a page. */
export function readme({ shop, site, report, tags, pieces, table, card }: Said): string {
  const { script, engine, style, shop: facts, catalogue, cards } = report.sizes;
  const panel = pieces.find((path) => !path.endsWith("/listing.html") && !path.endsWith(".form.html")) ?? "";
  const form = pieces.find((path) => path.endsWith(".form.html"));
  const listing = pieces.find((path) => path.endsWith("/listing.html"));
  return `# ${shop}: filter panels for your site

Put this folder on your server so that it is found at \`${site.at}\`. It needs no build step, no server of its own and
no cookies. To see it work first, serve the folder and open \`try.html\`.

## 1. In the head of each page with a panel

${block("html", tags)}

The same lines are in \`head.html\`. Put the style sheet before your own, so that its layers come first.

## 2. Where the panel stands

Put the markup of the page in: \`pages/\` has a folder for each page of the shop (\`index\` is the whole shop), with a file
for each panel, like \`${panel}\`. With server-side includes that is

${block("html", `<!--#include virtual="${site.at}${panel}" -->`)}

The markup is the panel as it stands, right on every width before any script runs; without scripts it is a form.

## 3. What it filters: one of three ways

**Our listing.** Put ${listing ? `\`${listing}\`` : "the page's `listing.html`"} in too. Its \`<template>\` is one card; make it yours:

${block("html", card)}

\`data-slot\` says what fills an element: \`title\`, \`price\`, \`was\`, \`stock\`, \`brand\`, \`id\`, or the key of a field.
\`picture\` becomes the \`src\` and \`link\` the \`href\`; picture, price and link go by the variant that matches. What has no
value is left out. Values are put in as text, never as markup.

**Your own listing.** Leave your list as it is and mark it:

${block(
  "html",
  `<p data-trellis-count=""></p>
<select data-trellis-sort="" aria-label="Sort by"></select>
<ul data-trellis-list="">
  <li data-trellis-product="PRODUCT-ID">…</li>
</ul>
<p data-trellis-nothing="" hidden>Nothing fits.</p>
<button type="button" data-trellis-more="" hidden></button>`,
)}

Products are hidden and ordered where they are. Those that the catalogue does not know stay in sight. Without
\`data-trellis-more\` or \`data-trellis-pages\` everything found is shown at once. A list that changes later is followed.

**As a form.** The panel sends the shopper to an address of yours with the choices as a query. ${
    form
      ? `Put \`${form}\` in instead; it sends to \`${site.action}\`.`
      : "Set `action` on `<trellis-panel>`, or hand over again with the address set."
  }

${table}

Values are lower case with single spaces, as in the panel's markup.

## Good to know

- Elements with the same \`group\` share one selection, and so do the marks: \`data-trellis-count="left"\` belongs to \`group="left"\`.
- \`data-trellis-chosen\` marks where chosen filters stand; \`data-trellis-pages\` where links to further pages do.
- A sticky panel beside its list needs a column of its own. One above its list needs the same parent as the list; it stays where it leaves 60 % of the screen.
- \`history="replace"\` or \`"none"\` on a panel keeps choices from becoming steps of the browser's history.
- Events: \`trellis-ready\`, \`trellis-change\`, \`trellis-results\`, \`trellis-trouble\`, with typed details in \`trellis.d.ts\`.

${block(
  "js",
  `document.addEventListener("trellis-results", ({ detail }) => console.log(detail.total, detail.shown));
document.querySelector("trellis-panel").choose("light", { options: ["shade"] });`,
)}

## Checklist

- [ ] The files are found at \`${site.at}\`, and \`.js\` is sent as JavaScript.
- [ ] From another host: it sends \`Access-Control-Allow-Origin\`.
- [ ] Your policy allows \`default-src 'self'\` (or that host) and pictures from where your products have theirs. No \`unsafe-inline\` is wanted.
- [ ] Products are found at \`${site.link}\`.
- [ ] \`trellis.json\` is sent with \`Cache-Control: no-cache\`; all files with a hash in their name may be kept for a year.
- [ ] The browser's console says nothing that begins with \`trellis:\`.

## When the catalogue changes

Hand over again, for instance from a cron job:

${block("sh", "trellis handoff ./shop-folder --out ./public/trellis")}

Only what has changed gets another name; \`trellis.json\` names the current files, and those of the last time stay for
pages that are still open. Take \`head.html\` and \`pages/\` anew when panels or looks have changed.

## Sizes

Script ${kB(script)} for ${report.displays.length} displays (aim: ${kB(scriptAim)} for six), style sheet ${kB(style)}, shop ${kB(facts)}: with them panels
are awake. Beside them come the engine that counts ${kB(engine)}, catalogue ${kB(catalogue)}, what cards show ${kB(cards)}; all gzipped. ${report.panels} ${report.panels === 1 ? "panel" : "panels"} on ${report.pages} ${report.pages === 1 ? "page" : "pages"}.
`;
}
