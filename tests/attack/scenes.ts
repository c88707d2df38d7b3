import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { type BrowserContext, chromium, expect, type Page } from "@playwright/test";
import { newFacet } from "../../src/core/panel/panel.ts";
import { launch } from "../browser.ts";
import { type RunningServer, startServer } from "../server.ts";
import type { Attack } from "./attack.ts";

const port = 4388;
const shop = "larkmoss-nursery";

/** The stage of a scene: tabs on a panel of its own, and a server that can stop and start again. */
interface Stage {
  context: BrowserContext;
  tab(): Promise<Page>;
  /** The label that is stored. */
  stored(): Promise<string>;
  stop(): Promise<void>;
  start(): Promise<void>;
  send(method: string, path: string, body: BodyInit): Promise<Response>;
}

const rename = async (tab: Page, to: string, from = "Light") => {
  const label = tab.getByRole("textbox", { name: `Label of ${from}` });
  await label.fill(to);
  await label.press("Enter");
};
const says = (tab: Page, words: string) => expect(tab.locator("header").getByRole("status")).toContainText(words);
const conflict = (tab: Page) => expect(tab.getByRole("alert")).toContainText("changed in another tab");
const stands = ({ stored }: Stage, words: string) => expect.poll(stored, { timeout: 20_000 }).toBe(words);
const elsewhere = async (tab: Page) => {
  await tab.getByRole("link", { name: "Catalogue", exact: true }).click();
  await tab.waitForURL("**/catalogue");
};
/** Closes a tab as a person does. @returns whether it asked first */
const asksBeforeItCloses = async (tab: Page): Promise<boolean> => {
  const asked = tab.waitForEvent("dialog", { timeout: 5000 }).then(
    async (dialog) => {
      await dialog.dismiss();
      return dialog.type() === "beforeunload";
    },
    () => false,
  );
  await tab.close({ runBeforeUnload: true });
  return asked;
};

/** In each, whatever was done is stored in the end, or its tab says that it is not. */
const scenes: Record<string, (stage: Stage) => Promise<void>> = {
  async "two tabs one after another, and mine is kept"(stage) {
    const [one, two] = [await stage.tab(), await stage.tab()];
    await rename(one, "One");
    await says(one, "Saved");
    await rename(two, "Two");
    await conflict(two);
    expect(await stage.stored()).toBe("One");
    await two.getByRole("button", { name: "Keep mine" }).click();
    await stands(stage, "Two");
  },
  async "two tabs, theirs is taken, and mine is brought back"(stage) {
    const [one, two] = [await stage.tab(), await stage.tab()];
    await rename(one, "One");
    await says(one, "Saved");
    await rename(two, "Two");
    await two.getByRole("button", { name: "Use the other version" }).click();
    await two.getByRole("button", { name: "Undo: Use the other version" }).click();
    await stands(stage, "Two");
  },
  async "the network is lost and comes back"(stage) {
    const tab = await stage.tab();
    await stage.context.setOffline(true);
    await rename(tab, "Offline");
    await says(tab, "Not saved");
    await stage.context.setOffline(false);
    await stands(stage, "Offline");
  },
  async "another saves while the network is lost"(stage) {
    const tab = await stage.tab();
    await stage.context.setOffline(true);
    await rename(tab, "Offline");
    await says(tab, "Not saved");
    const path = new URL(tab.url()).pathname.replace(/.*\/panels\//, `/api/shops/${shop}/documents/panel/`);
    const { version, document } = await (await fetch(`http://127.0.0.1:${port}${path}`)).json();
    const rows = document.rows.map((row: object) => ({ ...row, label: "Theirs" }));
    expect((await stage.send("PUT", path, JSON.stringify({ version, document: { ...document, rows } }))).ok).toBe(true);
    await stage.context.setOffline(false);
    await conflict(tab);
    expect(await stage.stored()).toBe("Theirs");
  },
  async "another view is opened while the network is lost"(stage) {
    const tab = await stage.tab();
    await elsewhere(tab);
    await tab.goBack();
    await stage.context.setOffline(true);
    await rename(tab, "Elsewhere");
    await elsewhere(tab);
    await stage.context.setOffline(false);
    await stands(stage, "Elsewhere");
  },
  async "the tab is closed while the network is lost"(stage) {
    const tab = await stage.tab();
    await stage.context.setOffline(true);
    await rename(tab, "Closing");
    await says(tab, "Not saved");
    expect(await asksBeforeItCloses(tab)).toBe(true);
  },
  async "the tab is closed from another view while the network is lost"(stage) {
    const tab = await stage.tab();
    await elsewhere(tab);
    await tab.goBack();
    await stage.context.setOffline(true);
    await rename(tab, "Closing");
    await elsewhere(tab);
    // A browser asks only where somebody has done something on the page.
    await tab.locator("body").click();
    expect(await asksBeforeItCloses(tab)).toBe(true);
  },
  async "the server is away, and is started again"(stage) {
    const tab = await stage.tab();
    await stage.stop();
    await rename(tab, "Away");
    await says(tab, "Not saved");
    await stage.start();
    await stands(stage, "Away");
  },
  async "the server is killed while a change waits to be saved"(stage) {
    const tab = await stage.tab();
    await rename(tab, "Killed");
    await stage.stop();
    await stage.start();
    await stands(stage, "Killed");
  },
  async "an edition is published and a newer file brought from elsewhere meanwhile"(stage) {
    const tab = await stage.tab();
    await rename(tab, "Meanwhile");
    const form = new FormData();
    form.set("file", new File([readFileSync("demo/nursery.csv")], "nursery.csv"));
    const [brought] = await Promise.all([
      stage.send("POST", `/api/shops/${shop}/catalogue`, form),
      stage.send("POST", `/api/shops/${shop}/editions`, JSON.stringify({ note: "" })),
    ]);
    expect(brought.status).toBe(200);
    await rename(tab, "And once more", "Meanwhile");
    await stands(stage, "And once more");
    await says(tab, "Saved");
  },
};

/** Two tabs, a lost network, and servers that go: nothing that was done is lost without a word. */
export const tabs: Attack = {
  name: "two tabs, lost network, restarts",
  async run() {
    const folder = mkdtempSync(join(tmpdir(), "trellis-scenes-"));
    const file = join(folder, "shop.db");
    let server: RunningServer = await startServer(port, file);
    const { origin } = server;
    const failures: string[] = [];
    const send = (method: string, path: string, body: BodyInit) =>
      fetch(origin + path, {
        method,
        body,
        headers: { origin, ...(typeof body === "string" ? { "content-type": "application/json" } : {}) },
      });
    try {
      for (const [name, play] of Object.entries(scenes)) {
        const rows = [newFacet("f-light", "light", "check-boxes", "any")];
        const panel = await (await fetch(`${origin}/api/shops/${shop}/documents/panel/climber-finder`)).json();
        const document = { ...panel.document, name: "Scene", rows };
        const made = await send("POST", `/api/shops/${shop}/documents/panel`, JSON.stringify({ document }));
        const { slug } = await made.json();
        // One of its own: a tab that is closed may take its browser along.
        const browser = await chromium.launch(launch);
        const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
        const stage: Stage = {
          context,
          send,
          async tab() {
            const page = await context.newPage();
            await page.goto(`${origin}/shops/${shop}/panels/${slug}`);
            await page.getByRole("textbox", { name: "Label of Light" }).waitFor();
            return page;
          },
          stored: async () =>
            (await (await fetch(`${origin}/api/shops/${shop}/documents/panel/${slug}`)).json()).document.rows[0].label,
          stop: () => server.kill(),
          async start() {
            server = await startServer(port, file);
          },
        };
        await play(stage).catch((error: Error) => failures.push(`${name}: ${error.message.split("\n")[0]}`));
        await browser.close();
      }
    } finally {
      await server.kill();
      rmSync(folder, { recursive: true, force: true });
    }
    return { tries: Object.keys(scenes).length, failures, measured: "all stored in the end, or told" };
  },
};
