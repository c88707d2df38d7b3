import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import type { Hono } from "hono";
import { encodeCatalogue } from "../../src/core/catalogue/binary.ts";
import { readCatalogue } from "../../src/core/catalogue/read.ts";
import { pagesKind } from "../../src/core/page/kind.ts";
import { limits } from "../../src/core/sanitize/limits.ts";
import { writeFolder } from "../../src/core/shop/archive/write-folder.ts";
import { zipFolder } from "../../src/core/shop/archive/zip.ts";
import { gate } from "../../src/server/access/gate.ts";
import { Password } from "../../src/server/access/password.ts";
import { createApp } from "../../src/server/app.ts";
import { makeHandoff } from "../../src/server/handoff/make.ts";
import { shedLoad } from "../../src/server/load-shedding.ts";
import { asFault } from "../../src/server/routes/as-fault.ts";
import { sampleSite } from "../../src/server/sample-site.ts";
import { seedDemo } from "../../src/server/seed.ts";
import { openDatabase } from "../../src/server/store/database.ts";
import { addNote, setPreviewEnded, sharePreview } from "../../src/server/store/previews.ts";
import { findShop } from "../../src/server/store/shops.ts";
import { ContentSchema } from "../../src/server/store/tables/snapshot.ts";
import { VisitBatchSchema } from "../../src/server/store/tables/visit.ts";
import { wholeShop } from "../../src/server/store/whole-shops.ts";
import { write } from "../../src/server/store/write.ts";
import { casesOf, type ErrorCase } from "./case.ts";

const slug = "larkmoss-nursery";
const shop = `/api/shops/${slug}`;

/** The cases of the server, with the demo shop in it. Call `close` at the end. */
export async function serverCases(): Promise<{ cases: readonly ErrorCase[]; close(): Promise<void> }> {
  const folder = mkdtempSync(join(tmpdir(), "trellis-errors-"));
  const orm = await openDatabase(":memory:");
  await seedDemo(orm, ".");
  const password = new Password(join(folder, "shops.db.password"));
  const { guard, routes, firstKey } = gate(password);
  const app = createApp({ orm, root: process.cwd() });
  const closed = createApp({ orm, root: process.cwd(), names: ["tool.example"], gate: { guard, routes } });

  /** The sentence of an answer: of JSON its error, of a page its text. */
  const said = async (answer: Response | Promise<Response>): Promise<string> => {
    const text = await (await answer).text();
    if (text.startsWith("{")) return (JSON.parse(text) as { error: string }).error;
    return /<body>/.test(text)
      ? [...text.matchAll(/<p[^>]*>([^<]*)<\/p>/g)]
          .map((match) => match[1])
          .join(" ")
          .trim()
      : text;
  };
  const ask = (path: string, init: RequestInit = {}, to: Hono = app, host = "127.0.0.1") =>
    said(
      to.request(`http://${host}${path}`, { ...init, headers: { host, origin: `http://${host}`, ...init.headers } }),
    );
  const get = (path: string) => () => ask(path);
  const json = { "content-type": "application/json" };
  const send = (method: string, path: string, body: unknown) => () =>
    ask(path, { method, body: typeof body === "string" ? body : JSON.stringify(body), headers: json });
  const form = (path: string, fields: Record<string, string | Blob>) => () => {
    const body = new FormData();
    for (const [name, value] of Object.entries(fields)) body.append(name, value);
    return ask(path, { method: "POST", body });
  };
  const signIn = (fields: Record<string, string>) => () =>
    ask(
      "/sign-in",
      {
        method: "POST",
        headers: { "content-type": "application/x-www-form-urlencoded" },
        body: new URLSearchParams(fields).toString(),
      },
      closed,
      "tool.example",
    );
  const em = () => orm.em.fork();
  const demo = async () => {
    const found = await findShop(em(), slug);
    if (!found) throw new TypeError("The demo shop is not there.");
    return wholeShop(em(), found);
  };
  const mends = async () => {
    const headers = { host: "127.0.0.1" };
    return (await app.request(`http://127.0.0.1${shop}/documents/mends`, { headers })).json() as Promise<{
      document: unknown;
    }>;
  };

  const note = { name: "Ines", text: "Larger", place: { page: "/", words: "", x: 0, y: 0 } };
  const shared = async () => {
    const found = await findShop(orm.em.fork(), slug);
    if (!found) throw new Error("The demo shop is gone.");
    return found;
  };
  const preview = async () => (await sharePreview(orm.em.fork(), await shared())).key;
  const endedPreview = async () => {
    const key = await preview();
    await setPreviewEnded(orm.em.fork(), await shared(), key, true);
    return key;
  };
  const notesOf = (key: string) => ask(`/preview-notes/${key}`);

  const requests = casesOf([
    ["This address contains a NUL character, so there is no page for it.", get("/a%00b")],
    ["There is nothing at /nowhere.txt. Check the address.", get("/nowhere.txt")],
    ["There is nothing at /api/nowhere. Check the address.", get("/api/nowhere")],
    [
      "This server answers on this machine only, and “evil.example” is not its name. Use http://127.0.0.1.",
      () => ask("/api/shops", {}, app, "evil.example"),
    ],
    [
      "“evil.example” is not a name of this server. Use tool.example, or start it with --name for this one.",
      () => ask("/api/shops", {}, closed, "evil.example"),
    ],
    [
      "This request would change data but has no Origin header. Send the address of this server as Origin.",
      () => said(app.request("http://127.0.0.1/api/shops", { method: "POST", headers: { host: "127.0.0.1" } })),
    ],
    [
      "This request came from a different site, so nothing was changed. Use the pages of this server.",
      () => ask("/api/shops", { method: "POST", headers: { origin: "http://evil.example" } }),
    ],
    ["The server is busy. Try again in a second.", () => said(app.request("http://127.0.0.1/") && busy())],
    ["Send JSON, with the content type application/json.", () => ask(`${shop}/ask`, { method: "POST", body: "{}" })],
    ["The request is not valid JSON. Check its syntax.", send("POST", `${shop}/ask`, "{")],
    ["The request nests brackets more than 64 levels deep.", send("POST", `${shop}/ask`, "[".repeat(70))],
    [
      "The request contains a NUL character (U+0000), which can’t be saved. Remove it and send the request again.",
      send("PUT", shop, '{"name":"a\\u0000b"}'),
    ],
    ["The request isn’t valid: ….", send("POST", `${shop}/ask`, { facets: 3 })],
    [
      "The form can’t be read. Send it as multipart/form-data, with the boundary in its content type.",
      () => ask("/api/folders", { method: "POST", body: "x", headers: { "content-type": "multipart/form-data" } }),
    ],
    [
      "This is larger than 256 kB, the limit for one request. Send less.",
      send("POST", `${shop}/ask`, " ".repeat(limits.question.max + 70_000)),
    ],
    [
      "Band limits must be whole numbers, and medium must be less than wide.",
      get("/storefront/style.css?medium=900&wide=800"),
    ],
    [
      "Something went wrong on the server. Nothing was changed; try again.",
      () => {
        const { error } = console;
        console.error = () => {};
        const { message } = asFault(new Error("inside"));
        console.error = error;
        return message;
      },
    ],
  ]);

  async function busy(): Promise<Response> {
    const line = shedLoad(0);
    return (await line({ text: (text: string) => new Response(text) } as never, async () => {})) as Response;
  }

  const signing = casesOf([
    [
      "Open the address that the server printed in its terminal, and set a password there.",
      () => ask("/sign-in", {}, closed, "tool.example"),
    ],
    [
      "This address can’t set the password. Use the one that the server printed in its terminal.",
      signIn({ password: "long enough", key: "wrong" }),
    ],
    ["Choose a password with at least 8 characters. …", signIn({ password: "short", key: firstKey })],
    ["Choose a password with at most 1000 characters. …", signIn({ password: "x".repeat(1001), key: firstKey })],
    ["Choose a password with at most 1,000 characters.", signIn({ password: "x".repeat(5000), key: firstKey })],
    ["Sign in first. Reload the page.", () => ask("/api/shops", {}, closed, "tool.example")],
    [
      "Wrong password.",
      async () => {
        await password.set("long enough");
        return signIn({ password: "not this one" })();
      },
    ],
    [
      "Other people are signing in right now. Wait a few seconds, then try again.",
      async () => {
        const all = await Promise.all(Array.from({ length: 3 }, signIn({ password: "not this one" })));
        return all.find((text) => text.startsWith("Other people"));
      },
    ],
  ]);

  const shops = casesOf([
    ["There is no shop at “nowhere”. Go to all shops and open it from there.", get("/api/shops/nowhere")],
    [
      "There is no panel at “nowhere” in this shop. Open it from the shop’s list of panels.",
      get(`${shop}/documents/panel/nowhere`),
    ],
    ["There are no documents of the kind “sheets”. Kinds are ….", get(`${shop}/documents/sheets`)],
    ["A shop already has its one …. Save that one instead.", send("POST", `${shop}/documents/mends`, { name: "A" })],
    [
      "A shop always has one …, so it can’t be moved, removed or restored.",
      () => ask(`${shop}/documents/mends/a`, { method: "DELETE" }),
    ],
    [
      "The … was changed elsewhere since it was opened here. Use the other version, or replace it with yours.",
      async () => {
        const { document } = await mends();
        return send("PUT", `${shop}/documents/mends`, { version: 99, document })();
      },
    ],
    [
      "The list of panels has changed. Reload the page and move it again.",
      send("PUT", `${shop}/document-order/panel`, { slugs: ["climber-finder"] }),
    ],
    [
      "This is not a valid …: ….",
      send("PUT", `${shop}/documents/mends`, { version: 0, document: { format: 1, mends: 3 } }),
    ],
    ["This shop has no such preview. Reload the page.", send("PUT", `${shop}/previews/x`, { ended: true })],
    ["This shop has no such note. Reload the page.", send("PUT", `${shop}/notes/77`, { done: true })],
    ["There is no preview at this address. Check the address.", get("/preview-notes/x")],
    [
      "This preview has ended. Ask whoever sent you the address for a new one.",
      async () => notesOf(await endedPreview()),
    ],
    [
      "This preview has 500 notes, the most it can take.",
      async () => {
        const key = await preview();
        for (let n = 0; n < limits.previewNotes.max; n++) await addNote(orm.em.fork(), key, note);
        return send("POST", `/preview-notes/${key}`, note)();
      },
    ],
    [
      "Too many notes at once. Wait ten seconds and try again.",
      async () => {
        const key = await preview();
        let text = "";
        for (let n = 0; n < 2 * limits.notesAtOnce.max + 1; n++)
          text = await send("POST", `/preview-notes/${key}`, note)();
        return text;
      },
    ],
    ["This shop has no edition “x”. Choose one of those under Editions.", send("POST", `${shop}/ask?edition=x`, {})],
    ["This shop has no edition 77. Choose one of those under Editions.", get(`${shop}/handoff?of=77`)],
    ["This shop has no version “x”. Use “draft” or an edition number.", get(`${shop}/handoff?of=x`)],
    ["Larkmoss Nursery has no edition “77”. Choose one of those under Editions.", get(`/edition/${slug}/77/`)],
    [
      "Nothing has changed since edition 1, so there is nothing to publish.",
      send("POST", `${shop}/editions`, { note: "" }),
    ],
    [
      "This import can’t be undone any more. Imports can be undone for 30 days.",
      send("POST", `${shop}/imports/999/take-back`, {}),
    ],
    ["No file was sent. Choose a catalogue file.", form("/api/shops", { name: "A", currency: "EUR" })],
    ["No file was sent. Choose a shop’s folder as a ZIP.", form("/api/folders", { a: "b" })],
    ["No picture was sent. Choose one.", form(`${shop}/pictures`, { a: "b" })],
    [
      "The list of columns is missing or damaged. Reload the page and import the file again.",
      form("/api/shops", { name: "A", currency: "EUR", reading: "{", file: new Blob(["title\na\n"]) }),
    ],
    [
      "This is not a PNG, JPEG, WebP or SVG. Save the picture as one of them and upload it again.",
      form(`${shop}/pictures`, { file: new Blob(["x"]) }),
    ],
    [
      "Two products of the catalogue have the same id. Send the catalogue again.",
      () => {
        const { catalogue } = readCatalogue(new TextEncoder().encode("product_id,title\na,A\nb,B\n"));
        const file = new Blob([encodeCatalogue({ ...catalogue, productIds: ["a", "a"] })]);
        return form("/api/shops", { name: "A", currency: "EUR", hash: "0".repeat(64), file })();
      },
    ],
    [
      "This SVG can’t be kept: it is damaged, or draws more than 20,000 elements. Simplify it and upload it again.",
      form(`${shop}/pictures`, {
        file: new Blob([`<svg xmlns="http://www.w3.org/2000/svg">${"<g/>".repeat(20_001)}</svg>`]),
      }),
    ],
    ["This shop doesn’t have this picture. Upload it again.", get(`/pictures/${slug}/${"0".repeat(64)}.png`)],
    [
      "The content of pictures/… doesn’t match its name. Import the original picture.",
      async () => {
        const files = new Map(writeFolder(await demo()));
        files.set(`pictures/${"0".repeat(64)}.png`, new Uint8Array([0x89, 0x50, 0x4e, 0x47, 13, 10, 26, 10]));
        return form("/api/folders", { file: new Blob([zipFolder(files)]) })();
      },
    ],
    [
      "… isn’t published yet, so shoppers see nothing here. Publish it under Editions.",
      async () => {
        await form("/api/shops", { name: "Quiet", currency: "EUR", file: new Blob(["title,price\na,1\nb,2\n"]) })();
        return ask("/shop/quiet/");
      },
    ],
  ]);

  const handoffs = casesOf([
    [
      "The card template must be one element, like <li>…</li>, with data-slot on the parts to fill.",
      async () => makeHandoff(await demo(), { card: "<b>1</b><b>2</b>" }),
    ],
    ["The shop is not in the language “tlh”. It is in ….", async () => makeHandoff(await demo(), { language: "tlh" })],
    ["This shop has no page /nowhere.", async () => makeHandoff(await demo(), { pages: ["/nowhere"] })],
    [
      "None of these pages has a panel, so there is nothing to hand over. Place a panel under Pages first.",
      async () => makeHandoff({ ...(await demo()), panels: [], pages: pagesKind.fresh("") }),
    ],
    [
      "The demo shop was removed or isn’t published. Start over with npm run demo -- --fresh.",
      async () => {
        const empty = await openDatabase(":memory:");
        const text = await ask(
          "/",
          {},
          sampleSite(() => empty.em.fork(), "."),
        );
        await empty.close(true);
        return text;
      },
    ],
    ["There is nothing at /nowhere.html. Check the address.", () => ask("/nowhere.html", {}, sampleSite(em, "."))],
  ]);

  const disk = casesOf([
    [
      "The disk is full or failing, so nothing was saved. Free some space or check the disk, then try again.",
      () => write(em(), () => Promise.reject(new Error("SQLITE_FULL: database or disk is full"))),
    ],
    [
      "Another program is using the database, so nothing was saved. Close it there, and try again.",
      async () => {
        const { now } = performance;
        // Each look at the clock is six seconds later, so that its patience ends at once.
        let looks = 0;
        performance.now = () => now.call(performance) + 6000 * looks++;
        try {
          return await write(em(), () => Promise.reject(new Error("SQLITE_BUSY: database is locked")));
        } finally {
          performance.now = now;
        }
      },
    ],
    [
      "The file “…” of this copy is missing. Publish or share it again.",
      async () => {
        const other = await openDatabase(":memory:");
        await seedDemo(other, ".");
        await other.em.fork().nativeDelete(ContentSchema, {});
        const text = await ask(`${shop}/handoff?of=1`, {}, createApp({ orm: other, root: process.cwd() }));
        await other.close(true);
        return text;
      },
    ],
  ]);

  const collect = (days: number) => send("PUT", `${shop}/visits`, { days })();
  const tell = (body: string) => ask(`/visits/${slug}`, { method: "POST", body });
  const visits = casesOf([
    ["This shop doesn’t collect visits. Turn it on under Rehearsal, Visits.", () => tell("{}")],
    ["The share of a trial must be between 0 and 1, not “2”.", get(`${shop}/handoff.zip?of=1&trial=1&share=2`)],
    ["Say which visits to erase: add ?of=collected or ?of=file to the address.", send("DELETE", `${shop}/visits`, {})],
    ["Send at most 64 kB at once.", () => tell("x".repeat(limits.visitBatch.max + 1))],
    [
      "This shop already has 256 MB of visits. Erase them first.",
      async () => {
        await collect(1);
        const one = await findShop(orm.em.fork(), slug);
        await write(orm.em.fork(), async (tx) => {
          const size = limits.keptVisits.max;
          tx.create(VisitBatchSchema, { shop: one?.id ?? 0, at: new Date(), count: 1, size, lines: "{}" });
        });
        const text = await tell("{}");
        await send("DELETE", `${shop}/visits?of=collected`, {})();
        return text;
      },
    ],
    [
      "Too many visits at once. Send them again later.",
      async () => {
        const now = Date.now;
        const fixed = now();
        // However slow the machine is, all of them come within the same ten seconds.
        Date.now = () => fixed;
        try {
          for (let n = 0; n < limits.visitBatches.max; n++)
            await ask("/visits/no-such-shop", { method: "POST", body: "" });
          return await ask("/visits/no-such-shop", { method: "POST", body: "" });
        } finally {
          Date.now = now;
        }
      },
    ],
  ]);

  return {
    cases: [...requests, ...signing, ...shops, ...handoffs, ...disk, ...visits],
    close: async () => {
      await orm.close(true);
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
