import { cpSync, readFileSync, writeFileSync } from "node:fs";
import { createServer } from "node:net";
import { join } from "node:path";
import { PublishedShops } from "../../src/server/published/published-shops.ts";
import { createServeApp } from "../../src/server/published/serve-app.ts";
import { casesOf, type ErrorCase } from "./case.ts";

type Run = (...args: string[]) => () => Promise<string>;

/**
 * The cases of editions as files and of what serves them.
 * @param here a folder to write into
 * @param shop a shop folder
 * @param run a command, for its standard error
 */
export async function publishedCases(here: string, shop: string, run: Run): Promise<readonly ErrorCase[]> {
  const live = join(here, "live");
  await run("publish", shop, "--out", live)();
  const copy = (name: string, change: (folder: string) => void): string => {
    const folder = join(here, name);
    cpSync(live, folder, { recursive: true });
    change(folder);
    return folder;
  };
  const named = (folder: string, name: string, from: string, to: string) => {
    const file = join(folder, name);
    writeFileSync(file, readFileSync(file, "utf8").replace(from, to));
  };
  const opened = (folder: string) => () => new PublishedShops([folder]);
  const shops = new PublishedShops([live]);
  const app = createServeApp(shops, process.cwd());
  const get = async (path: string) => {
    const text = await (await app.request(`http://127.0.0.1${path}`)).text();
    return text.startsWith("{") ? (JSON.parse(text) as { error: string }).error : text;
  };
  const [{ shop: slug = "" } = {}] = shops.state;

  return casesOf([
    ["… contains other files. Choose an empty folder.", run("publish", shop, "--out", shop)],
    [
      "… has editions of the shop “…”, not of “…”. Choose a different folder.",
      run(
        "publish",
        shop,
        "--out",
        copy("of-another", (to) => named(to, "current.json", slug, "other")),
      ),
    ],
    [
      "…edition-1.json is of a different edition.",
      opened(copy("wrong-number", (to) => named(to, "edition-1.json", '"edition": 1', '"edition": 2'))),
    ],
    [
      "…current.json is not valid: …. Its format is not trellis-edition-1. Publish it again.",
      opened(copy("later", (to) => named(to, "current.json", "trellis-edition-1", "trellis-edition-9"))),
    ],
    [
      "… now has a shop “other”. Restart to serve it.",
      async () => {
        const folder = copy("moved", () => {});
        const open = new PublishedShops([folder]);
        named(folder, "current.json", slug, "other");
        return (await open.refresh())[0]?.fault;
      },
    ],
    ["This shop has no edition 7 here. Reload the page.", () => get(`/api/shops/${slug}/data?edition=7`)],
    ["Only published editions are served here: add ?edition= with a number.", () => get(`/api/shops/${slug}/data`)],
    [
      "--edition must be the number of an edition, not “draft”.",
      run("publish", "--shop", slug, "--edition", "draft", "--out", live),
    ],
    [
      "An edition of the database has its note already: leave out --note.",
      run("publish", "--shop", slug, "--note", "x", "--out", live),
    ],
    [
      "… and … both have a shop “…”. Serve them on different ports.",
      run(
        "serve",
        live,
        copy("twin", () => {}),
        "--port",
        "0",
      ),
    ],
    [
      "Port … is taken. Choose a different one with --port.",
      async () => {
        const holder = createServer();
        const port = await new Promise<number>((done) =>
          holder.listen(0, "127.0.0.1", () => done((holder.address() as { port: number }).port)),
        );
        const text = await run("serve", live, "--port", String(port))();
        holder.close();
        return text;
      },
    ],
  ]);
}
