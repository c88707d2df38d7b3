import { type ChildProcess, spawn } from "node:child_process";

/** The server as it was built. */
export const serverProgram = "dist/server/main.js";

/** Port of the server that the end-to-end tests share; the variable lets two runs share a machine. */
export const sharedPort = Number(process.env.TRELLIS_TEST_PORT ?? 4399);

export interface RunningServer {
  origin: string;
  child: ChildProcess;
  /** Ends it as a crash would, and waits until it is gone. */
  kill(): Promise<void>;
}

/** Starts a server of its own on a database file, and waits until it answers. @param sitePort where the stand-in site is; anywhere by default */
export async function startServer(port: number, file: string, sitePort = 0): Promise<RunningServer> {
  const args = [serverProgram, "--port", String(port), "--site-port", String(sitePort), "--data", file];
  const child = spawn(process.execPath, args, { stdio: ["ignore", "ignore", "inherit"] });
  const origin = `http://127.0.0.1:${port}`;
  const answers = () =>
    fetch(`${origin}/api/shops`).then(
      ({ ok }) => ok,
      () => false,
    );
  for (let i = 0; !(await answers()); i++) {
    if (i === 300 || child.exitCode !== null) throw new Error("The server did not start.");
    await new Promise((done) => setTimeout(done, 50));
  }
  const gone = new Promise<void>((done) => child.once("exit", () => done()));
  return {
    origin,
    child,
    kill: () => {
      child.kill("SIGKILL");
      return gone;
    },
  };
}
