import { mkdirSync, rmSync } from "node:fs";
import { dirname, join, resolve } from "node:path";
import { fileURLToPath } from "node:url";
import { parseArgs } from "node:util";
import { serve } from "@hono/node-server";
import { createApp } from "./app.ts";
import { seedDemo } from "./seed.ts";
import { demoShop, standInSite } from "./stand-in.ts";
import { openDatabase } from "./store/database.ts";
import { lockFile } from "./store/lock.ts";
import { forgetRemoved } from "./store/removal.ts";

const root = resolve(dirname(fileURLToPath(import.meta.url)), "../..");
const host = "127.0.0.1";
const usage =
  "Options: --port NUMBER, --site-port NUMBER for the site with the demo shop’s handoff, --fresh to start over with the demo shop, --data FILE for another database.";

function readOptions() {
  try {
    const { values } = parseArgs({
      options: {
        port: { type: "string", default: "4310" },
        "site-port": { type: "string" },
        fresh: { type: "boolean", default: false },
        data: { type: "string", default: join(root, "data/trellis.db") },
        development: { type: "boolean", default: false },
      },
    });
    const port = portIn(values.port);
    // The site stands on the next one, or anywhere where the tool does.
    const sitePort = portIn(values["site-port"] ?? (port === 0 ? "0" : String(port + 1)));
    return { ...values, port, sitePort };
  } catch (error) {
    fail(`${(error as Error).message}\n${usage}`);
  }
}

/** @throws Error when a text is no port */
function portIn(text: string): number {
  const port = Number(text);
  if (!Number.isInteger(port) || port < 0 || port > 65535)
    throw new Error(`“${text}” is not a port. Use a number up to 65535.`);
  return port;
}

function fail(message: string): never {
  process.stderr.write(`${message}\n`);
  process.exit(1);
}

const { port, sitePort, fresh, data, development } = readOptions();
// The file is held before it is touched: a second start must neither wipe nor write the data of the first.
const release = hold(data);
let app: ReturnType<typeof createApp> | undefined;
const server = serve(
  {
    hostname: host,
    port,
    fetch: (request, env) => app?.fetch(request, env) ?? new Response("Starting", { status: 503 }),
  },
  open,
);

// A browser that asks again after a pause finds its connection still open, and not one that is closing under it.
if ("keepAliveTimeout" in server) server.keepAliveTimeout = 65_000;

server.on("error", (error: NodeJS.ErrnoException) => {
  if (error.code === "EADDRINUSE")
    fail(
      `Port ${port} is taken. If Zany Trellis runs there, use it at http://${host}:${port}/. Otherwise choose another port: npm run demo -- --port ${port + 1}`,
    );
  if (error.code === "EACCES")
    fail(`Port ${port} may not be used by this account. Choose one above 1023: npm run demo -- --port 4310`);
  fail(error.message);
});

function hold(file: string): () => void {
  try {
    mkdirSync(dirname(file), { recursive: true });
    return lockFile(file);
  } catch (error) {
    fail((error as Error).message);
  }
}

async function open({ port: taken }: { port: number }): Promise<void> {
  try {
    if (fresh) for (const file of [data, `${data}-wal`, `${data}-shm`]) rmSync(file, { force: true });
    const orm = await openDatabase(data);
    await forgetRemoved(orm.em.fork());
    if (await seedDemo(orm, root)) console.log("The demo shop is ready.");
    let site: string | undefined;
    app = createApp({ orm, root, development, standIn: (shop) => (shop === demoShop ? site : undefined) });
    for (const signal of ["SIGINT", "SIGTERM"] as const) {
      process.once(signal, () => {
        server.close();
        void orm.close(true).then(() => {
          release();
          process.exit(0);
        });
      });
    }
    console.log(`Zany Trellis is at http://${host}:${taken}/`);
    const fetch = standInSite(() => orm.em.fork(), root).fetch;
    const other = serve({ hostname: host, port: sitePort, fetch }, ({ port: own }) => {
      site = `http://${host}:${own}/`;
      console.log(`A site with the demo shop's handoff is at ${site}`);
    });
    // The tool is whole without it.
    other.on("error", ({ message }) => console.log(`The site with the demo shop's handoff is left out: ${message}`));
  } catch (error) {
    fail(`The database ${data} could not be opened: ${(error as Error).message}`);
  }
}
