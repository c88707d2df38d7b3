import { escaped } from "../../storefront/handoff/draw.tsx";
import { manifestName } from "../../storefront/handoff/wire.ts";
import type { PageMarkup } from "./markup.ts";
import { integrityOf } from "./names.ts";
import { spaceName } from "./space.ts";

/** The files referenced in a page's head. */
export interface Tags {
  at: string;
  script: string;
  style: string;
  /** The script that runs before the first paint. */
  early: string;
  /** Preloaded together with the manifest that names it. If the manifest has changed, little was fetched in vain. */
  shop: string;
  /** The preloaded font, so that no text changes its width after the first paint. */
  font: string | undefined;
  bytes: { script: Uint8Array; style: Uint8Array; early: Uint8Array };
}

/** The script whose name never changes. */
export const loaderName = "trellis.js";

/** The tags for pages in which elements have only names: they stay the same with every handoff. */
export const lineTags = (at: string): string =>
  [
    `<link rel="stylesheet" href="${escaped(at + spaceName)}">`,
    // Not a module: a module would run after the first paint.
    `<script src="${escaped(at + loaderName)}"></script>`,
    "",
  ].join("\n");

/** The tags in the head of each page with panels. A browser refuses a file with a different hash. */
export const headTags = ({ at, script, style, early, shop, font, bytes }: Tags): string =>
  [
    `<link rel="stylesheet" href="${escaped(at + style)}" integrity="${integrityOf(bytes.style)}" crossorigin="anonymous">`,
    `<script src="${escaped(at + early)}" integrity="${integrityOf(bytes.early)}" crossorigin="anonymous"></script>`,
    ...[manifestName, shop].map(
      (name) => `<link rel="preload" href="${escaped(at + name)}" as="fetch" crossorigin="anonymous">`,
    ),
    ...(font === undefined
      ? []
      : [`<link rel="preload" href="${escaped(at + font)}" as="font" type="font/woff2" crossorigin="anonymous">`]),
    `<script type="module" src="${escaped(at + script)}" integrity="${integrityOf(bytes.script)}" crossorigin="anonymous"></script>`,
    "",
  ].join("\n");

/** The handoff's own test page. It requests nothing that a page opened from a disk can't have. */
export const tryPage = (
  shop: string,
  { script, style }: Tags,
  { panels, listing }: PageMarkup,
): string => `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta http-equiv="Content-Security-Policy" content="default-src 'self'; img-src * data:; object-src 'none'">
<title>${escaped(shop)}: try the handoff</title>
<link rel="stylesheet" href="./${style}">
<link rel="stylesheet" href="./try.css">
<script type="module" src="./${script}"></script>
</head>
<body>
<h1>${escaped(shop)}</h1>
<div>
<div>
${panels.join("")}</div>
<div>
${listing}</div>
</div>
</body>
</html>
`;

/** The style of the test page around the panels. */
export const tryStyle = `body { max-width: 76rem; margin: 0 auto; padding: 1rem; font-family: system-ui, sans-serif; }
body > div { display: grid; grid-template-columns: 17rem minmax(0, 1fr); gap: 2rem; align-items: start; }
[data-trellis-above] { display: flex; align-items: center; justify-content: space-between; }
[data-trellis-cards] { display: grid; grid-template-columns: repeat(auto-fill, minmax(10rem, 1fr)); gap: 1rem; padding: 0; list-style: none; }
[data-trellis-cards] img { width: 100%; height: auto; }
[data-trellis-cards] h3 { margin: 0.25rem 0; font-size: 1rem; }
[data-trellis-cards] p { margin: 0; }
@media (max-width: 48rem) { body > div { display: block; } }
`;
