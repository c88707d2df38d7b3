import type { HandoffReport } from "../../core/api/handoff.ts";
import type { Site } from "../../core/shop/shop-schema.ts";

interface Said {
  shop: string;
  site: Site;
  report: HandoffReport;
  /** The tags in the head of a page: those that never change, and those for markup in the page. */
  tags: { line: string; markup: string };
  /** Id of the first product, as an example. */
  product: string;
  /** A choice of one option, as an example; undefined if no panel has options. */
  example: { field: string; option: string } | undefined;
  /** The languages of the pieces, the shop's own first. */
  languages: readonly string[];
  /** Paths of the pieces of markup. */
  pieces: readonly string[];
  table: string;
  card: string;
}

const kB = (bytes: number): string => `${(bytes / 1000).toFixed(1)} kB`;
const block = (language: string, text: string): string => `\`\`\`${language}\n${text.trim()}\n\`\`\``;

/** All instructions for a site's programmer, on one page. */
export function readme({ shop, site, languages, report, tags, product, example, pieces, table, card }: Said): string {
  const { script, engine, style, shop: facts, catalogue, cards } = report.sizes;
  const panel = pieces.find((path) => !path.endsWith("/listing.html") && !path.endsWith(".form.html")) ?? "";
  const name = panel.replace(/^.*\//, "").replace(/\.html$/, "");
  const address = panel.slice("pages".length, panel.lastIndexOf("/")).replace(/^\/index$/, "/");
  const form = pieces.find((path) => path.endsWith(".form.html"));
  const listing = pieces.find((path) => path.endsWith("/listing.html"));
  return `# ${shop}: filter panels for your site

Copy this folder to your server, so that its address is \`${site.at}\`. It needs no build step, no server of its own and
no cookies. To see it work first, serve the folder and open \`try.html\`.

## 1. Put a panel on a page

**With a line that stays.** In the head of each page:

${block("html", tags.line)}

Where the panel appears, and where its products appear:

${block("html", `<trellis-panel name="${name}"></trellis-panel>${listing ? "\n<trellis-listing></trellis-listing>" : ""}`)}

These lines never change: they fetch the current panel, and a new handoff shows at the next visit. The panel finds its
page by the address of your page. If the addresses differ from the shop’s, say which page it is:
\`page="${address}"\`. The small style sheet keeps the space of the panel free until it is there.

**With the markup in your page.** If your server can include files, the panel is there with the page itself, and works as
a form without scripts. In the head, before your own style sheet (the same lines are in \`head.html\`):

${block("html", tags.markup)}

Where the panel appears, its markup. \`pages/\` has a folder for each page of the shop (\`index\` is the whole shop), with
a file for each panel. With server-side includes:

${block("html", `<!--#include virtual="${site.at}${panel}" -->`)}

## 2. What it filters: one of three ways

**Our listing.** Put \`<trellis-listing></trellis-listing>\`, or, with the markup in your page, ${listing ? `\`${listing}\`` : "the page’s `listing.html`"}. Its \`<template>\` is one product card. Change it to match your site, or put one inside the element with a name:

${block("html", card)}

\`data-slot\` says what fills an element: \`title\`, \`price\`, \`was\`, \`stock\`, \`brand\`, \`id\`, or the key of a field.
\`picture\` fills the \`src\` and \`link\` the \`href\`. Picture, price and link belong to the variant that matches. An
element without a value is removed. Values are inserted as text, never as markup.

**Your own listing.** Leave your list as it is and mark it:

${block(
  "html",
  `<p data-trellis-count=""></p>
<select data-trellis-sort="" aria-label="Sort by"></select>
<ul data-trellis-list="">
  <li data-trellis-product="${product}">…</li>
</ul>
<p data-trellis-nothing="" hidden>No products match.</p>
<button type="button" data-trellis-more="" hidden></button>`,
)}

The panel hides and sorts the products of this list. \`${product}\` is the id of the
shop’s first product; \`trellis ids\` lists the ids of all. Products that the catalogue does not contain stay visible. Without \`data-trellis-more\` or \`data-trellis-pages\` all matches are shown at
once, those of a list of more than 300 while the shopper scrolls. If the list changes later, the panel filters it again.

**As a form.** The panel sends the shopper to an address of your site, with the choices in the query. ${
    form
      ? `Include \`${form}\` instead; it sends to \`${site.action}\`.`
      : "Set `action` on `<trellis-panel>`, or make the handoff again with the address filled in."
  }

${table}

Values are lower case with single spaces, as in the panel's markup.

## Good to know

- Elements with the same \`group\` share one selection. This includes marked elements: \`data-trellis-count="left"\` belongs to \`group="left"\`.
- \`data-trellis-chosen\` marks where the chosen filters appear, \`data-trellis-pages\` where the links to further results pages appear.
${
  languages.length > 1
    ? `- The panels are in ${languages.join(", ")}. An element with a name takes the language of the page (\`lang\`) or of its own attribute \`language\`; pieces of markup in a further language are called \`PANEL.${languages[1]}.html\`. All elements of one group have one language.
`
    : ""
}- A sticky panel beside its list needs a column of its own. One above its list needs the same parent as the list; it is sticky only if 60% of the screen stays free.
- \`history="replace"\` or \`"none"\` on a panel keeps choices out of the browser’s history.
- \`visits="URL"\` on an element sends what shoppers do to an address of your site, a line of JSON for each act: no cookies, nothing about the person, and nothing from browsers that ask not to be tracked. Empty, it only dispatches \`trellis-visit\` on the document. \`trellis visits FILE\` reads the lines; \`trellis schema visit\` prints their JSON Schema.
- Events: \`trellis-ready\`, \`trellis-change\`, \`trellis-results\`, \`trellis-trouble\`, with typed details in \`trellis.d.ts\`.

${block(
  "js",
  `document.addEventListener("trellis-results", ({ detail }) => console.log(detail.total, detail.shown));
${example ? `document.querySelector("trellis-panel").choose(${JSON.stringify(example.field)}, { options: [${JSON.stringify(example.option)}] });` : 'document.querySelector("trellis-panel").clear();'}`,
)}

## Checklist

- [ ] The files are at \`${site.at}\`, and \`.js\` is sent as JavaScript.
- [ ] If the files are on a different host, it sends \`Access-Control-Allow-Origin\`.
- [ ] Your content security policy allows \`default-src 'self'\` (or that host), and pictures from the host of your product pictures. \`unsafe-inline\` is not needed.
- [ ] Product pages are at \`${site.link}\`.
- [ ] \`trellis.json\`, \`trellis.js\` and \`trellis-space.css\` are sent with \`Cache-Control: no-cache\`; files with a hash in their name can be cached for a year.
- [ ] The page finds nothing wrong with itself: add \`#trellis-check\` to its address.
- [ ] The browser’s console shows no message that begins with \`trellis:\`.

## When the catalogue changes

Make the handoff again, for example from a cron job:

${block("sh", "trellis handoff ./shop-folder --out ./public/trellis")}

Only changed files get new names. \`trellis.json\` lists the current files; the previous ones stay for pages that are still
open. Elements with a name need nothing more. Markup in your pages, and \`head.html\`, have to be copied again after panels
or looks have changed.

## Sizes

Script ${kB(script)} for ${report.displays.length} displays, style sheet ${kB(style)}, shop ${kB(facts)}: panels respond
once these have loaded. Then follow the engine ${kB(engine)}, the catalogue ${kB(catalogue)} and the card data ${kB(cards)}. All sizes are gzipped. ${report.panels} ${report.panels === 1 ? "panel" : "panels"} on ${report.pages} ${report.pages === 1 ? "page" : "pages"}.
`;
}
