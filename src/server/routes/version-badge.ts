import { html } from "hono/html";

/** Label of a page in a state that shoppers don't see, with a link to theirs if the reader may follow it. */
export interface StateMark {
  words: string;
  href?: string;
  link?: string;
}

/** Shown in the corner of the page's first bar, where it scrolls away and covers nothing. */
export const versionBadge = ({ words, href, link }: StateMark) => html`<style>
    .tool-state { position: absolute; top: 7px; right: 7px; z-index: 9; display: flex; gap: 8px; padding: 4px 10px; border-radius: 7px; font: 13px/1.6 system-ui, sans-serif; color: #fff; background: #34203f; pointer-events: none; }
    .tool-state a { color: #ffc59a; pointer-events: auto; }
    @media print { .tool-state { display: none; } }
  </style>
  <aside class="tool-state" aria-label="State of this page"><span>${words}</span>${href === undefined ? "" : html`<a href="${href}">${link}</a>`}</aside>`;
