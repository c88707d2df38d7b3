import { parseArgs } from "node:util";
import { serve as listen } from "@hono/node-server";
import { Shard } from "../server/column-store/shard.ts";
import { StoreCatalogues, storedHash } from "../server/column-store/store-catalogues.ts";
import { PublishedShops } from "../server/published/published-shops.ts";
import { createServeApp } from "../server/published/serve-app.ts";
import { repository } from "../server/repository.ts";
import { Catalogues } from "../server/store/catalogues.ts";
import { warmShop } from "../server/warm.ts";
import type { Command } from "./command.ts";
import { UsageError } from "./usage-error.ts";

/** How often folders are looked at for a newer edition, in ms. */
const interval = 2000;
/** Time for a balancer to notice that a process stops, in ms: `/healthz` says so. */
const notice = 2000;
/** Time to finish requests under way when stopping, in ms. */
const patience = 10_000;

/** Published editions, served without a database. */
export const serve: Command = {
  name: "serve",
  about: "Serves published editions as shops’ pages: without a database, and without writing anything.",
  usage: "trellis serve DIR… --port N [--store URL]… [--host ADDRESS]",
  options: [
    ["--port N", "Port to listen on"],
    ["--store URL", "Count in a ClickHouse server instead of this process; once for each shard"],
    ["--host ADDRESS", "Address to listen on", "127.0.0.1"],
  ],
  example: "trellis serve ./live/larkmoss-nursery --port 4400",
  async run(args) {
    const { values, positionals } = parseArgs({
      args,
      allowPositionals: true,
      options: {
        port: { type: "string" },
        host: { type: "string", default: "127.0.0.1" },
        store: { type: "string", multiple: true },
      },
    });
    const port = Number(values.port);
    if (values.port === undefined || !Number.isInteger(port) || port < 0 || port > 65535)
      throw new UsageError(`Name a port up to 65535 with --port. Usage: ${serve.usage}`);
    if (positionals.length === 0) throw new UsageError(`Name a folder of editions. Usage: ${serve.usage}`);
    const shops = open(positionals);
    let stopping = false;
    const catalogues = values.store ? await storeCatalogues(values.store, shops) : new Catalogues();
    const app = createServeApp(shops, repository, { stops: () => stopping, catalogues });
    for (const { shop } of shops.state) await warmShop(app, shop);
    return new Promise((done, fail) => {
      const server = listen({ fetch: app.fetch, port, hostname: values.host }, ({ port: taken }) => {
        for (const { shop, edition } of shops.state)
          process.stdout.write(
            `${shop}, edition ${edition}: http://${values.host}:${taken}/shop/${encodeURIComponent(shop)}/\n`,
          );
      });
      // Keeps idle connections open longer than a balancer does, so that no request meets a closing one.
      if ("keepAliveTimeout" in server) server.keepAliveTimeout = 65_000;
      let refreshing = false;
      const told = new Map<string, string | undefined>();
      const refresh = async (atOnce: boolean) => {
        if (refreshing) return;
        refreshing = true;
        const changes = await shops.refresh((source) => catalogues.get(source), { atOnce });
        refreshing = false;
        for (const { shop, edition, fault } of changes) {
          // The same reason every two seconds would bury everything else.
          if (fault !== undefined && told.get(shop) === fault) continue;
          told.set(shop, fault);
          process.stderr.write(
            fault === undefined
              ? `${shop}: edition ${edition} is served now.\n`
              : `${shop}: edition ${edition} is still served. ${fault}\n`,
          );
        }
      };
      const timer = setInterval(() => void refresh(false), interval);
      process.on("SIGHUP", () => void refresh(true));
      server.on("error", (error: NodeJS.ErrnoException) => {
        clearInterval(timer);
        const taken = `Port ${port} is taken. Choose a different one with --port.`;
        fail(new UsageError(error.code === "EADDRINUSE" ? taken : error.message));
      });
      const stop = async () => {
        stopping = true;
        clearInterval(timer);
        // Requests are still answered until a balancer has noticed.
        await new Promise((noticed) => setTimeout(noticed, notice));
        server.close(() => done({ text: "", status: 0 }));
        if ("closeIdleConnections" in server) server.closeIdleConnections();
        setTimeout(() => "closeAllConnections" in server && server.closeAllConnections(), patience).unref();
      };
      for (const signal of ["SIGINT", "SIGTERM"] as const) process.once(signal, () => void stop());
    });
  },
};

/** The catalogues of the shops’ editions in a column store. @throws StoreFault if it lacks a current one */
async function storeCatalogues(addresses: readonly string[], shops: PublishedShops): Promise<StoreCatalogues> {
  const shards = addresses.map((address) => new Shard(address));
  const catalogues = new StoreCatalogues(shards, ({ shop, state }) =>
    storedHash(shops.manifest(shop.slug, Number(state))),
  );
  for (const { shop } of shops.state) await catalogues.get(shops.source(shop));
  return catalogues;
}

/** @throws UsageError, EditionFault */
function open(folders: readonly string[]): PublishedShops {
  try {
    return new PublishedShops(folders);
  } catch (error) {
    throw error instanceof RangeError ? new UsageError(error.message) : error;
  }
}
