import type { Answer, WireAnswer } from "../../core/engine/answer.ts";
import type { Engine } from "../../core/engine/engine.ts";
import type { Question, WireQuestion } from "../../core/engine/question.ts";
import { RemoteEngine } from "../../core/engine/remote-engine.ts";
import type { Boot } from "../shop/boot.ts";
import { RelayEngine } from "./relay-engine.ts";

/**
 * Opens the engine of a page; the rest of the page does not know where it computes. The server answers first. A page
 * with its own engine fetches the catalogue once it is hydrated, and switches to it.
 * @param asked the question the page was drawn from
 * @returns the engine, and what to do once the page is hydrated
 */
export function openEngine(
  { engine, data, ask }: Pick<Boot, "engine" | "data" | "ask">,
  asked: { question: Question; answer: Answer },
): { engine: Engine; awake(): void } {
  const server = new RemoteEngine((question) => askServer(ask, question));
  server.learn(asked.question, asked.answer);
  if (engine === "server") return { engine: server, awake() {} };
  const relay = new RelayEngine(
    server,
    async (question) => (await import("./own-engine.ts")).openOwn(engine, data, question),
    asked.question,
  );
  return { engine: relay, awake: () => whenIdle(() => relay.fetchOwn()) };
}

/** Runs work when the browser is idle. */
const whenIdle = (run: () => void): void => {
  if ("requestIdleCallback" in window) requestIdleCallback(run, { timeout: 3000 });
  else setTimeout(run, 500);
};

/** Longest question in an address, so that the address stays below the 8 kB that servers commonly take. */
const maxInAddress = 2500;

/** Asks about an edition by an address, which browsers and proxies can keep the answer for. */
async function askServer(address: string, question: WireQuestion): Promise<WireAnswer> {
  const body = JSON.stringify(question);
  const response = await (address.includes("?edition=") && body.length < maxInAddress
    ? fetch(`${address}&q=${encodeURIComponent(body)}`)
    : fetch(address, { method: "POST", headers: { "content-type": "application/json" }, body }));
  if (!response.ok) throw new Error(`The shop didn’t answer (${response.status}).`);
  return response.json();
}
