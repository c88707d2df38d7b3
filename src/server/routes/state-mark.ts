import { html } from "hono/html";

/** Which state of a shop a page shows that shoppers do not get, with a way to what they do. */
export interface StateMark {
  words: string;
  href: string;
  link: string;
}

/** Told at the foot of the page, above everything, and out of the way of what stands there. */
export const stateMark = ({ words, href, link }: StateMark) => html`<style>
    .tool-state { position: fixed; inset: auto auto 12px 12px; z-index: 9; display: flex; gap: 10px; padding: 7px 12px; border-radius: 8px; font: 13px/1.4 system-ui, sans-serif; color: #fff; background: #34203f; box-shadow: 0 2px 10px #0004; }
    .tool-state a { color: #ffc59a; }
    @media print { .tool-state { display: none; } }
  </style>
  <aside class="tool-state" aria-label="State of this page"><span>${words}</span><a href="${href}">${link}</a></aside>`;
