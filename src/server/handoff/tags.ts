import { escaped } from "../../storefront/handoff/draw.tsx";
import { manifestName } from "../../storefront/handoff/wire.ts";
import type { PageMarkup } from "./markup.ts";
import { integrityOf } from "./names.ts";

/** The files that a page's head names. */
export interface Tags {
  at: string;
  script: string;
  style: string;
  bytes: { script: Uint8Array; style: Uint8Array };
}

/** What stands in the head of each page with panels. A browser refuses a file that is not the one that was handed over. */
export const headTags = ({ at, script, style, bytes }: Tags): string =>
  [
    `<link rel="stylesheet" href="${escaped(at + style)}" integrity="${integrityOf(bytes.style)}" crossorigin="anonymous">`,
    `<link rel="preload" href="${escaped(at + manifestName)}" as="fetch" crossorigin="anonymous">`,
    `<script type="module" src="${escaped(at + script)}" integrity="${integrityOf(bytes.script)}" crossorigin="anonymous"></script>`,
    "",
  ].join("\n");

/** A page of the handoff's own to try it on. It asks for nothing that a page opened from a disk may not have. */
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
<script type="module" src="./${script}"></script>
</head>
<body>
<h1>${escaped(shop)}</h1>
${panels.join("")}${listing}</body>
</html>
`;
