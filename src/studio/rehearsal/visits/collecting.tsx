import { useState } from "react";
import { useSWRConfig } from "swr";
import type { VisitState } from "../../../core/api/visit-report.ts";
import { request, sendJson } from "../../api.ts";
import { Fault } from "../../shell/alert.tsx";
import { useOpenShop } from "../../shell/shop-context.ts";
import { Snippet } from "../../shell/snippet.tsx";
import { visitsPath } from "./use-visits.ts";

const choices = [0, 7, 30, 90, 366];

/** Whether this server collects visits, for how many days, and what it has. */
export function Collecting({ state }: { state: VisitState }) {
  const { shop } = useOpenShop();
  const { mutate } = useSWRConfig();
  const [trouble, setTrouble] = useState<string>();
  const [sure, setSure] = useState(false);
  const change = async (task: Promise<unknown>) => {
    setTrouble(undefined);
    try {
      await task;
      await mutate((key) => typeof key === "string" && key.startsWith(visitsPath(shop.slug)));
    } catch (error) {
      setTrouble((error as Error).message);
    }
  };
  const { days, collected } = state;
  return (
    <div className="flex flex-col gap-2">
      <label className="flex items-center justify-between gap-2">
        <span className="font-medium">Collect visits on this server</span>
        <select
          className="select select-sm w-auto"
          value={days}
          onChange={({ target: { value } }) =>
            void change(sendJson("PUT", visitsPath(shop.slug), { days: Number(value) }))
          }
        >
          {[...new Set([...choices, days])]
            .sort((a, b) => a - b)
            .map((one) => (
              <option key={one} value={one}>
                {one === 0 ? "Off" : `${one} days`}
              </option>
            ))}
        </select>
      </label>
      {days > 0 ? (
        <Snippet
          title="On a panel of your pages"
          text={`<trellis-panel … visits="${location.origin}${state.address}">`}
        >
          Its pages then send a line for each act. Lines older than {days} days are erased.
        </Snippet>
      ) : (
        <p className="text-quiet">
          Off: nothing is collected. Pages can send visits to an address of your own instead, and you import the file
          here.
        </p>
      )}
      {collected ? (
        <p className="flex flex-wrap items-center justify-between gap-2">
          <span>
            {collected.lines.toLocaleString("en")} lines since {new Date(collected.since).toLocaleDateString("en-GB")}
          </span>
          {sure ? (
            <span className="flex gap-1">
              <button
                type="button"
                className="btn btn-xs btn-error"
                onClick={() => {
                  setSure(false);
                  void change(request(visitsPath(shop.slug, "collected"), { method: "DELETE" }));
                }}
              >
                Erase for good
              </button>
              <button type="button" className="btn btn-xs" onClick={() => setSure(false)}>
                Keep
              </button>
            </span>
          ) : (
            <button type="button" className="btn btn-xs" onClick={() => setSure(true)}>
              Erase…
            </button>
          )}
        </p>
      ) : null}
      <Fault text={trouble} />
    </div>
  );
}
