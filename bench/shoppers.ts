/** Shoppers who follow one another without a pause on a made shop: what they ask for, and how fast it is answered. */
import { Agent, request } from "node:http";
import { Random } from "../demo/random.ts";
import type { MadeShop } from "./made-shop.ts";

/** Shoppers at once. */
const usual = 64;

/** Results of a load. */
export interface Load {
  name: string;
  per_second: number;
  median_ms: number;
  p99_ms: number;
  /** Answers other than 200. */
  refused: number;
}

/** Pages and questions about edition 1 of a made shop, each with one to three choices. */
export interface ShopperRequests {
  /** Asks a server for the n-th page. @returns its status */
  page(origin: string, n: number): Promise<number>;
  /** Asks a server the n-th question: the counts of 14 facets and 24 products. @returns its status */
  ask(origin: string, n: number): Promise<number>;
}

/** @param different how many different pages or questions there are before they repeat */
export function shopperRequests({ shop, panel }: MadeShop, different: number): ShopperRequests {
  const random = new Random(1);
  // Of a slider's fields nothing is chosen.
  const chosen = Array.from({ length: different }, () => {
    const fields = random.some([0, 1, 2, 3, 4, 6, 7, 8, 9, 10, 12, 13], random.whole(1, 3));
    return fields.map((f) => [`field-${f}`, `value ${random.whole(0, 2 + (f >> 1))}`] as const);
  });
  const queries = chosen.map((choices) => new URLSearchParams(choices.map(([field, value]) => [field, value])));
  const facets = Array.from({ length: 14 }, (_, f) => ({ field: `field-${f}`, mode: f % 6 === 5 ? "range" : "any" }));
  const bodies = chosen.map((choices) =>
    JSON.stringify({
      within: [],
      facets,
      selection: {
        text: "",
        choices: Object.fromEntries(choices.map(([field, value]) => [field, { options: [value] }])),
      },
      sort: "",
      from: 0,
      size: 24,
      has: [],
    }),
  );
  return {
    page: (origin, n) => sent(`${origin}/shop/${shop}/?panel=${panel}&${queries[n % different]}`),
    ask: (origin, n) => {
      const headers = { origin, "content-type": "application/json" };
      return sent(`${origin}/api/shops/${shop}/ask?edition=1`, headers, bodies[n % different]);
    },
  };
}

/** @param shoppers how many at once @param seconds for how long */
export async function under(
  name: string,
  send: (n: number) => Promise<number>,
  { shoppers = usual, seconds = 8 } = {},
): Promise<Load> {
  const times: number[] = [];
  let [next, refused] = [0, 0];
  const start = performance.now();
  const end = start + seconds * 1000;
  const shopper = async () => {
    while (performance.now() < end) {
      const from = performance.now();
      const status = await send(next++);
      times.push(performance.now() - from);
      if (status !== 200) refused++;
    }
  };
  await Promise.all(Array.from({ length: shoppers }, shopper));
  // A slow answer ends after the last second has, and counts with the time that it took.
  const spent = (performance.now() - start) / 1000;
  const sorted = times.sort((a, b) => a - b);
  const at = (share: number) => Math.round(sorted[Math.floor(sorted.length * share)] ?? 0);
  const per_second = Number((times.length / spent).toPrecision(3));
  return { name, per_second, median_ms: at(0.5), p99_ms: at(0.99), refused };
}

const agent = new Agent({ keepAlive: true, maxSockets: usual });

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
