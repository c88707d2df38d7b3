/**
 * What the end-to-end tests run with. `LATE=400 npm run test:e2e` lets every request of a page and all that it asks a
 * worker set out so many milliseconds later, as on a slow machine: a test that reads before there is an answer fails
 * then, and so does a page that shows what is not yet true.
 */
import { test as base } from "@playwright/test";

export * from "@playwright/test";

const late = Number(process.env.LATE ?? 0);

export const test =
  late > 0
    ? base.extend({
        context: async ({ context }, use) => {
          await context.addInitScript(delay, late);
          await use(context);
        },
      })
    : base;

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
