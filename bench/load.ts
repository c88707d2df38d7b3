/**
 * Many shoppers at once on a published shop of 20,000 products: `npm run bench -- --load`. Pages and answers a second,
 * and how long one in a hundred waits. Shoppers follow one another without a pause, on few pages and choices, as on a sale.
 */
import { Agent, request } from "node:http";
import { Random } from "../demo/random.ts";
import { withServer } from "../tests/browser.ts";
import { makeShop } from "./made-shop.ts";

const shoppers = 64;
const seconds = 8;

/** Results of a load. */
export interface Load {
  name: string;
  per_second: number;
  median_ms: number;
  p99_ms: number;
  /** Answers other than 200. */
  refused: number;
}

/** @param different how many different pages or questions there are */
export const benchLoad = (different: number): Promise<Load[]> =>
  withServer(4390, async (origin) => {
    const { shop, panel } = await makeShop(origin, 20_000, 30);
    const headers = { origin, "content-type": "application/json" };
    await fetch(`${origin}/api/shops/${shop}/editions`, {
      method: "POST",
      headers,
      body: JSON.stringify({ note: "" }),
    });
    const random = new Random(1);
    // Of a slider's fields nothing is chosen.
    const chosen = Array.from({ length: different }, () => {
      const fields = random.some([0, 1, 2, 3, 4, 6, 7, 8, 9, 10, 12, 13], random.whole(1, 3));
      return fields.map((f) => [`field-${f}`, `value ${random.whole(0, 2 + (f >> 1))}`] as const);
    });
    const queries = chosen.map((choices) => new URLSearchParams(choices.map(([field, value]) => [field, value])));
    const page = (n: number) => sent(`${origin}/shop/${shop}/?panel=${panel}&${queries[n % different]}`);
    const facets = Array.from({ length: 14 }, (_, f) => ({ field: `field-${f}`, mode: f % 6 === 5 ? "range" : "any" }));
    const question = (n: number) => ({
      within: [],
      facets,
      selection: {
        text: "",
        choices: Object.fromEntries((chosen[n] ?? []).map(([field, value]) => [field, { options: [value] }])),
      },
      sort: "",
      from: 0,
      size: 24,
      has: [],
    });
    const bodies = Array.from({ length: different }, (_, n) => JSON.stringify(question(n)));
    const ask = (n: number) => sent(`${origin}/api/shops/${shop}/ask?edition=1`, headers, bodies[n % different]);
    // Whatever is made once is made.
    await page(0);
    await ask(0);
    return [await under(`pages, ${different} different`, page), await under(`answers, ${different} different`, ask)];
  });

async function under(name: string, send: (n: number) => Promise<number>): Promise<Load> {
  const times: number[] = [];
  let [next, refused] = [0, 0];
  const end = performance.now() + seconds * 1000;
  const shopper = async () => {
    while (performance.now() < end) {
      const start = performance.now();
      const status = await send(next++);
      times.push(performance.now() - start);
      if (status !== 200) refused++;
    }
  };
  await Promise.all(Array.from({ length: shoppers }, shopper));
  const sorted = times.sort((a, b) => a - b);
  const at = (share: number) => Math.round(sorted[Math.floor(sorted.length * share)] ?? 0);
  return { name, per_second: Math.round(times.length / seconds), median_ms: at(0.5), p99_ms: at(0.99), refused };
}

const agent = new Agent({ keepAlive: true, maxSockets: shoppers });

/**
 * Sends a request and takes the answer packed as it is: shoppers unpack on their own machines, and here it would take
 * more of this one than the server does. @returns its status
 */
const sent = (address: string, headers: Record<string, string> = {}, body?: string): Promise<number> =>
  new Promise((done, fail) => {
    const options = { agent, method: body === undefined ? "GET" : "POST" };
    const call = request(address, { ...options, headers: { ...headers, "accept-encoding": "br, gzip" } }, (answer) => {
      answer.on("end", () => done(answer.statusCode ?? 0)).resume();
    });
    call.on("error", fail).end(body);
  });
