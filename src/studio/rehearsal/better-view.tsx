import { proxy } from "comlink";
import { useState } from "react";
import type { PanelDocument } from "../../core/panel/panel-schema.ts";
import type { Proposal } from "../../core/rehearsal/propose.ts";
import { Fault } from "../shell/alert.tsx";
import type { DocumentStore } from "../shell/document-store.ts";
import { openDocument } from "../shell/documents.ts";
import { HistoryButtons } from "../shell/history-buttons.tsx";
import { seconds } from "./in-words.ts";
import type { RemoteRehearsal, Run } from "./use-rehearsal.ts";

/** Changes of the page's first panel that lead shoppers to their product sooner. */
export function BetterView({ shop, run, service }: { shop: string; run: Run; service: RemoteRehearsal }) {
  const [share, setShare] = useState<number>();
  const [found, setFound] = useState<Proposal[]>();
  const [taken, setTaken] = useState<{ words: string; store: DocumentStore<PanelDocument> }>();
  const [trouble, setTrouble] = useState<string>();
  const { order, stage } = run;
  const slug = stage?.facets[0]?.panel;
  const search = async () => {
    if (slug === undefined) return;
    setFound(undefined);
    setTaken(undefined);
    setTrouble(undefined);
    setShare(0);
    try {
      setFound(await service.propose(order, slug, proxy(setShare)));
    } catch (error) {
      setTrouble((error as Error).message);
    }
    setShare(undefined);
  };
  const take = async ({ words, document }: Proposal) => {
    if (slug === undefined) return;
    const store = await openDocument(shop, "panel", slug);
    store.getState().apply({
      words,
      change: (panel) => {
        panel.rows = structuredClone(document.rows);
      },
    });
    setTaken({ words, store });
  };
  if (slug === undefined) return <p className="text-quiet">No panel on this page.</p>;
  return (
    <div className="flex max-w-4xl flex-col gap-3">
      <p className="max-w-prose text-[13px] text-quiet">
        Up to 60 changes are tried on 300 shoppers: a different order or display, folding, splitting, removing. The best
        are judged on 2,000 others that the search has not seen. Only changes that also help this second group are
        offered.
      </p>
      {share === undefined ? (
        <button type="button" className="btn btn-primary btn-sm self-start" onClick={() => void search()}>
          Search for a better panel
        </button>
      ) : (
        <progress className="progress progress-accent w-64" aria-label="Search" value={share} max={1} />
      )}
      <Fault text={trouble} />
      {taken ? (
        <p role="status" className="flex items-center gap-2">
          Applied: {taken.words}. <HistoryButtons stores={[taken.store]} />
        </p>
      ) : null}
      {found?.length === 0 ? <p role="status">No change also helps the second group of shoppers.</p> : null}
      {found && found.length > 0 ? (
        <ul className="flex flex-col divide-y divide-hair">
          {found.map((one) => (
            <li key={one.words} className="flex items-start gap-4 py-3">
              <div className="flex-1">
                <p className="font-medium">{one.words}</p>
                <p className="text-[13px] text-quiet tabular-nums">
                  {seconds(one.gain)} s faster per shopper on average, 95% interval {seconds(one.low)} to{" "}
                  {seconds(one.high)} s. Shoppers who never find it count with all their patience.
                </p>
              </div>
              <button
                type="button"
                className="btn btn-sm"
                aria-label={`Apply: ${one.words}`}
                disabled={taken !== undefined}
                onClick={() => void take(one)}
              >
                Apply
              </button>
            </li>
          ))}
        </ul>
      ) : null}
    </div>
  );
}
