import { mkdirSync, readFileSync } from "node:fs";
import { dirname, join } from "node:path";
import { parseArgs } from "node:util";
import { serve } from "@hono/node-server";
import { schemaFiles } from "../core/shop/archive/write-folder.ts";
import { gate } from "./access/gate.ts";
import { Password, passwordFault } from "./access/password.ts";
import { createApp } from "./app.ts";
import { moveDatabaseAside, realFile } from "./disk/files.ts";
import { repository } from "./repository.ts";
import { demoShop, sampleSite } from "./sample-site.ts";
import { seedDemo } from "./seed.ts";
import { checkFile, UnfitFile } from "./store/check-file.ts";
import { closeDatabase, migrationNames, openDatabase } from "./store/database.ts";
import { lockFile } from "./store/lock.ts";
import { purgeRemoved } from "./store/removal.ts";
import { listShops } from "./store/shops.ts";
import { Threads } from "./threads/threads.ts";
import { warmShop } from "./warm.ts";

const loopback = "127.0.0.1";
const usage = `Usage: npm run demo -- [options]

Options:
  --port NUMBER         Port of the app (default: 4310)
  --site-port NUMBER    Port of the sample site (default: the next one)
  --data FILE           Database of the shops (default: data/trellis.db)
  --fresh               Start over with the demo shop; the old database is kept beside the new one
  --host ADDRESS        Answer to a network too, behind a password (default: this machine only)
  --name NAME           A name by which the network reaches the server; can be given several times
  --password-file FILE  File whose first line is the password
  --proxy               Trust X-Forwarded-For, which a proxy in front sets
  -h, --help            Show this help

See docs/running.md for a server on a network.`;

function readOptions() {
  try {
    const { values } = parseArgs({
      options: {
        port: { type: "string", default: "4310" },
        "site-port": { type: "string" },
        fresh: { type: "boolean", default: false },
        data: { type: "string", default: join(repository, "data/trellis.db") },
        development: { type: "boolean", default: false },
        host: { type: "string", default: loopback },
        name: { type: "string", multiple: true, default: [] },
        "password-file": { type: "string" },
        proxy: { type: "boolean", default: false },
        help: { type: "boolean", short: "h", default: false },
      },
    });
    if (values.help) {
      process.stdout.write(`${usage}\n`);
      process.exit(0);
    }
    const port = portIn(values.port);
    // The sample site uses the next port, or any port if the tool does.
    const sitePort = portIn(values["site-port"] ?? (port === 0 ? "0" : String(port + 1)));
    return { ...values, port, sitePort };
  } catch (error) {
    fail(`${(error as Error).message}\n\n${usage}`);
  }
}

/** @throws Error if a text is not a port */
function portIn(text: string): number {
  const port = Number(text);
  if (!Number.isInteger(port) || port < 0 || port > 65535)
    throw new Error(`“${text}” is not a port. Use a number up to 65535.`);
  return port;
}

/** Resolves links, so that every name of a file meets the same lock. */
function nameOf(file: string): string {
  try {
    return realFile(file);
  } catch (error) {
    fail((error as Error).message);
  }
}

function fail(message: string): never {
  process.stderr.write(`${message}\n`);
  process.exit(1);
}

const options = readOptions();
const { port, sitePort, fresh, development, host, name: names, "password-file": passwordFile } = options;
const data = nameOf(options.data);
const isOpen = host !== loopback;
if (!isOpen && (passwordFile !== undefined || names.length > 0))
  fail(`--password-file and --name are for a server on a network: add --host ADDRESS too.\n\n${usage}`);
const password = isOpen ? new Password(`${data}.password`) : undefined;
const entry = password && gate(password, { behindProxy: options.proxy });
// The file is locked before it is used: a second start must not erase or write the data of the first.
const release = hold(data);
const reachedBy = isOpen ? [host, ...names].map((name) => name.toLowerCase()) : [];
let threads: Threads | undefined;
let app: ReturnType<typeof createApp> | undefined;
const server = serve(
  {
    hostname: host,
    port,
    fetch: (request, env) => app?.fetch(request, env) ?? new Response("Starting", { status: 503 }),
  },
  open,
);

// Keeps idle connections open longer than a browser's pause, so that no request meets a closing one.
if ("keepAliveTimeout" in server) server.keepAliveTimeout = 65_000;

server.on("error", (error: NodeJS.ErrnoException) => {
  if (error.code === "EADDRINUSE")
    fail(
      `Port ${port} is taken. If Zany Trellis runs there, use it at http://${host}:${port}/. Otherwise choose a different port: npm run demo -- --port ${port + 1}`,
    );
  if (error.code === "EACCES")
    fail(`Port ${port} can’t be used by this account. Choose one above 1023: npm run demo -- --port 4310`);
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

/** Sets the password from the first line of a file. */
async function takePassword(password: Password, file: string): Promise<void> {
  let text: string;
  try {
    text = readFileSync(file, "utf8");
  } catch (error) {
    fail(`The password file ${file} cannot be read: ${(error as Error).message}`);
  }
  const [first = ""] = text.split(/\r?\n/);
  const fault = passwordFault(first);
  if (fault) fail(`The first line of ${file} is not a password. ${fault}`);
  await password.set(first);
}

/** Time to finish requests under way when stopping, in ms. */
const patience = 10_000;

/** Stops accepting requests, finishes those under way, and closes the file. */
async function end(orm: Awaited<ReturnType<typeof openDatabase>>): Promise<void> {
  const closed = new Promise<void>((done) => server.close(() => done()));
  if ("closeIdleConnections" in server) server.closeIdleConnections();
  await Promise.race([closed, new Promise((done) => setTimeout(done, patience).unref())]);
  await threads?.close();
  try {
    await closeDatabase(orm);
  } catch (error) {
    fail(
      `The database ${data} couldn’t be closed completely: ${(error as Error).message}. All saved data is in it and in ${data}-wal: keep both files together.`,
    );
  }
  release();
  process.exit(0);
}

/** Moves the present shops aside. @throws UnfitFile if the file belongs to another program */
function startOver(): void {
  try {
    checkFile(data, migrationNames);
  } catch (error) {
    if (error instanceof UnfitFile && error.isForeign) throw error;
  }
  const kept = moveDatabaseAside(data, "before-fresh");
  if (kept) console.log(`The shops from before are kept in ${kept}`);
}

/**
 * Draws the shops' front pages one after the other, so that a designer's first requests come in between, and creates
 * the schemas that publishing would wait for.
 */
async function warmShops(app: ReturnType<typeof createApp>, orm: Awaited<ReturnType<typeof openDatabase>>) {
  for (const { slug } of await listShops(orm.em.fork())) await warmShop(app, slug);
  schemaFiles();
}

async function open({ port: taken }: { port: number }): Promise<void> {
  try {
    if (fresh) startOver();
    const orm = await openDatabase(data, { onLost: (sentence) => console.error(sentence) });
    await purgeRemoved(orm.em.fork());
    if (await seedDemo(orm, repository)) console.log("The demo shop is ready.");
    let site: string | undefined;
    if (password && passwordFile !== undefined) await takePassword(password, passwordFile);
    threads = new Threads({ data, root: repository, development, names: reachedBy });
    app = createApp({
      orm,
      threads,
      root: repository,
      development,
      standIn: (shop) => (shop === demoShop ? site : undefined),
      names: reachedBy,
      ...(entry ? { gate: entry } : {}),
    });
    let ending = false;
    for (const signal of ["SIGINT", "SIGTERM"] as const) {
      process.on(signal, () => {
        if (ending) return;
        ending = true;
        void end(orm);
      });
    }
    const at = `http://${names[0] ?? host}:${taken}`;
    console.log(`Zany Trellis is at ${at}/`);
    void warmShops(app, orm);
    if (entry && !password?.isSet) console.log(`Set its password at ${at}/sign-in?key=${entry.firstKey}`);
    const fetch = sampleSite(() => orm.em.fork(), repository).fetch;
    // The sample site is for looking only, and is not open to the network.
    const other = serve({ hostname: loopback, port: sitePort, fetch }, ({ port: own }) => {
      site = `http://${loopback}:${own}/`;
      console.log(`A sample site with the demo shop’s panels is at ${site}`);
    });
    // The tool works without it.
    other.on("error", ({ message }) =>
      console.log(`The site with the demo shop’s handoff couldn’t be started: ${message}`),
    );
  } catch (error) {
    fail(
      error instanceof UnfitFile
        ? error.message
        : `The database ${data} could not be opened: ${(error as Error).message}`,
    );
  }
}
