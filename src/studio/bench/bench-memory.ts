import { boolean, type InferType, number, object, string } from "yup";

/** The part of a session that is restored when the bench is opened again in this browser. */
const kept = object({
  address: string().strict().max(2000),
  frames: string<"both" | "wide" | "phone">().strict().oneOf(["both", "wide", "phone"]),
  zoom: string<"read" | "fit" | "half" | "actual">().strict().oneOf(["read", "fit", "half", "actual"]),
  folded: boolean().strict(),
  unfolded: string().strict().max(200),
  pageWidth: number().strict().min(320).max(4000),
  language: string().strict().max(35),
});

type Raw = InferType<typeof kept>;
export type RememberedBench = { [K in keyof Raw]-?: Exclude<Raw[K], undefined> };
const names = Object.keys(kept.fields) as (keyof Raw)[];

const panelKey = (shop: string): string => `trellis bench ${shop}`;
const sessionKey = (shop: string, slug: string): string => `${panelKey(shop)} ${slug}`;

/** Browsers may refuse storage; nothing is restored then. */
function tried<T>(task: () => T): T | undefined {
  try {
    return task();
  } catch {
    return undefined;
  }
}

/** The panel last open in a shop's bench; undefined if unknown. */
export const lastPanel = (shop: string): string | undefined =>
  tried(() => localStorage.getItem(panelKey(shop))) ?? undefined;

/** The remembered session of a panel. */
export function lastSession(shop: string, slug: string): Partial<RememberedBench> {
  const text = tried(() => localStorage.getItem(sessionKey(shop, slug)));
  const found = text ? tried(() => kept.validateSync(JSON.parse(text), { stripUnknown: true })) : undefined;
  return Object.fromEntries(Object.entries(found ?? {}).filter(([, value]) => value !== undefined));
}

type KeptState = { [K in keyof RememberedBench]: RememberedBench[K] | undefined };

/** The remembered part of a session's store. */
interface KeptStore {
  getState(): KeptState;
  subscribe(listener: (now: KeptState, before: KeptState) => void): () => void;
}

/** Remembers a session until the returned function is called. */
export function remember(shop: string, slug: string, session: KeptStore): () => void {
  const keep = () => {
    const state = session.getState();
    const left = Object.fromEntries(names.map((name) => [name, state[name]]));
    tried(() => {
      localStorage.setItem(panelKey(shop), slug);
      localStorage.setItem(sessionKey(shop, slug), JSON.stringify(left));
    });
  };
  keep();
  return session.subscribe((now, before) => {
    if (names.some((name) => now[name] !== before[name])) keep();
  });
}
