import { useState } from "react";
import type { Ending, Walk } from "../../core/rehearsal/walk.ts";
import { seconds } from "./in-words.ts";
import { Replay } from "./replay.tsx";
import type { Run } from "./use-rehearsal.ts";

const kinds: Record<string, { words: string; of(walk: Walk): boolean }> = {
  all: { words: "All", of: () => true },
  lost: { words: "Didn’t find it", of: ({ ending }) => ending !== "arrived" },
  stuck: { words: "Reached a dead end", of: ({ deadEnds }) => deadEnds.length > 0 },
  long: { words: "Three choices or more", of: ({ moves }) => moves.length > 2 },
};
const endings: Record<Ending, string> = {
  arrived: "found it",
  "nothing helps": "gave up: no facet helps",
  patience: "lost patience",
};
const most = 60;

/** Individual shoppers, whose walks can be replayed on the real page. */
export function ShopperList({ shop, run }: { shop: string; run: Run }) {
  const { walks, stage, order } = run;
  const [kind, setKind] = useState("all");
  const [chosen, choose] = useState<Walk>();
  const some = walks.filter(kinds[kind]?.of ?? (() => true));
  const titles = new Map((stage?.facets ?? []).map(({ row, title }) => [row, title]));
  const walk = chosen ?? some.find(({ moves }) => moves.length > 0);
  return (
    <div className="grid grid-cols-[210px_minmax(0,1fr)] gap-4">
      <div className="flex flex-col gap-2">
        <select
          className="select select-sm w-full"
          aria-label="Which shoppers"
          value={kind}
          onChange={(event) => {
            setKind(event.target.value);
            choose(undefined);
          }}
        >
          {Object.entries(kinds).map(([name, { words }]) => (
            <option key={name} value={name}>
              {words} ({walks.filter(kinds[name]?.of ?? (() => true)).length.toLocaleString("en")})
            </option>
          ))}
        </select>
        <ul className="flex max-h-[560px] flex-col overflow-y-auto" aria-label="Shoppers">
          {some.slice(0, most).map((one) => (
            <li key={one.n}>
              <button
                type="button"
                aria-pressed={one === walk}
                className={`w-full rounded-lg px-2 py-1.5 text-start text-[13px] ${one === walk ? "bg-plum-soft" : "hover:bg-base-200"}`}
                onClick={() => choose(one)}
              >
                <span className="block font-medium">Shopper {one.n + 1}</span>
                <span className="text-quiet tabular-nums">
                  {endings[one.ending]}, {one.moves.length} {one.moves.length === 1 ? "choice" : "choices"},{" "}
                  {seconds(one.seconds)} s
                </span>
              </button>
            </li>
          ))}
        </ul>
      </div>
      {walk ? (
        <Replay
          key={walk.n}
          shop={shop}
          address={order.address}
          band={order.band}
          walk={walk}
          titleOf={(row) => titles.get(row) ?? row}
          ending={endings[walk.ending]}
        />
      ) : (
        <p className="text-quiet">No shoppers match.</p>
      )}
    </div>
  );
}
