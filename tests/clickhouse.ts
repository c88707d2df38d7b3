import { type ChildProcess, spawn, spawnSync } from "node:child_process";
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { createServer } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";

/** Whether this machine has the column store: Debian’s package clickhouse-server. */
export const hasClickhouse = (): boolean => spawnSync("clickhouse-server", ["--version"]).error === undefined;

export interface StoreServer {
  address: string;
  /** Ends it at once, as a power cut does. */
  kill(): Promise<void>;
  /** Starts it again over the same data. */
  restart(): Promise<void>;
}

const freePort = (): Promise<number> =>
  new Promise((done) => {
    const probe = createServer();
    probe.listen(0, "127.0.0.1", () => {
      const { port } = probe.address() as { port: number };
      probe.close(() => done(port));
    });
  });

/** Starts servers on loopback, each with data and ports of its own. @returns them, and what ends and removes them */
export async function startStores(
  count: number,
  { user = "default", password = "" } = {},
): Promise<{ stores: StoreServer[]; close(): Promise<void> }> {
  const folder = mkdtempSync(join(tmpdir(), "trellis-store-"));
  const stores = await Promise.all(
    Array.from({ length: count }, (_, at) => startStore(join(folder, String(at)), user, password)),
  );
  return {
    stores,
    async close() {
      await Promise.all(stores.map((one) => one.kill()));
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

async function startStore(folder: string, user: string, password: string): Promise<StoreServer> {
  mkdirSync(join(folder, "data"), { recursive: true });
  mkdirSync(join(folder, "tmp"), { recursive: true });
  const [http, tcp, between] = [await freePort(), await freePort(), await freePort()];
  const config = join(folder, "config.xml");
  writeFileSync(
    config,
    `<yandex><logger><level>error</level><log>${folder}/log</log><errorlog>${folder}/errors</errorlog></logger>
    <http_port>${http}</http_port><tcp_port>${tcp}</tcp_port><interserver_http_port>${between}</interserver_http_port>
    <listen_host>127.0.0.1</listen_host><path>${folder}/data/</path><tmp_path>${folder}/tmp/</tmp_path>
    <users_config>${folder}/users.xml</users_config><default_profile>default</default_profile>
    <default_database>default</default_database><mark_cache_size>1073741824</mark_cache_size>
    <max_concurrent_queries>400</max_concurrent_queries></yandex>`,
  );
  writeFileSync(
    join(folder, "users.xml"),
    `<yandex><profiles><default></default></profiles><users><${user}><password>${password}</password>
    <networks><ip>127.0.0.1</ip></networks><profile>default</profile><quota>default</quota></${user}></users>
    <quotas><default></default></quotas></yandex>`,
  );
  const address = `http://127.0.0.1:${http}/`;
  let child: ChildProcess;
  const start = async () => {
    child = spawn("clickhouse-server", [`--config-file=${config}`], { stdio: "ignore", cwd: folder });
    for (let tries = 0; tries < 200; tries++) {
      const up = await fetch(`${address}ping`).then(
        ({ ok }) => ok,
        () => false,
      );
      if (up) return;
      await new Promise((later) => setTimeout(later, 100));
    }
    throw new Error(`The store at ${address} did not start. Look into ${folder}/errors.`);
  };
  await start();
  return {
    address,
    kill: () =>
      new Promise((done) => {
        if (child.exitCode !== null || child.signalCode !== null) return done();
        child.once("exit", () => done());
        child.kill("SIGKILL");
      }),
    restart: start,
  };
}
