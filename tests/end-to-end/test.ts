/**
 * What the end-to-end tests run with. `LATE=400 npm run test:e2e` lets every request of a page and all that it asks a
 * worker set out so many milliseconds later, as on a slow machine: a test that reads before there is an answer fails
 * then, and so does a page that shows what is not yet true.
 */
import { test as base } from "@playwright/test";

export * from "@playwright/test";

const late = Number(process.env.LATE ?? 0);

export const test = base.extend<{ firstVisit: boolean }>({
  /** Whether the hints of a first visit are shown. */
  firstVisit: [false, { option: true }],
  context: async ({ context, firstVisit }, use) => {
    if (late > 0) await context.addInitScript(delay, late);
    if (!firstVisit) await context.addInitScript(seeHints);
    await use(context);
  },
});

/** Nobody is here for the first time. */
function seeHints(): void {
  try {
    localStorage.setItem("trellis-hints-seen", "cell page publish");
  } catch {
    // A frame that may keep nothing shows none.
  }
}

function delay(ms: number): void {
  const { fetch } = globalThis;
  globalThis.fetch = (to, how) =>
    // Requests sent while a page is left have no later.
    how?.keepalive ? fetch(to, how) : new Promise((done) => setTimeout(() => done(fetch(to, how)), ms));
  const post = Worker.prototype.postMessage;
  Worker.prototype.postMessage = function (this: Worker, ...sent: Parameters<Worker["postMessage"]>) {
    setTimeout(() => post.apply(this, sent), ms);
  } as Worker["postMessage"];
}
