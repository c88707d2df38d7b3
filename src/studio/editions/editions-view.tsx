import { useMemo, useState } from "react";
import { Fault } from "../shell/alert.tsx";
import { Commands } from "../shell/commands.tsx";
import { HistoryButtons } from "../shell/history-buttons.tsx";
import { useOpenShop } from "../shell/shop-context.ts";
import { ShopperView } from "../shell/shopper-view.tsx";
import { Strip } from "../shell/strip.tsx";
import { shopViews } from "../shell/views.ts";
import { DifferenceList } from "./difference-list.tsx";
import { EditionList } from "./edition-list.tsx";
import { OntoSite } from "./onto-site.tsx";
import { PublishCard } from "./publish-card.tsx";
import { TwoPages } from "./two-pages.tsx";
import { type EditionState, useDifferences, useEditions, useNewFindings } from "./use-editions.ts";

/** The editions, what changed since, and publishing. */
export function EditionsView() {
  const { shop, settings, pages } = useOpenShop();
  const { data: editions, error, mutate } = useEditions(shop.slug);
  const [chosen, choose] = useState<{ from?: EditionState; to?: EditionState }>({});
  const [shown, show] = useState<"differences" | "site">("differences");
  const stores = useMemo(() => [settings, pages], [settings, pages]);
  const newest = editions?.[0]?.n;
  const [from, to] = [chosen.from ?? newest, chosen.to ?? "draft"];
  const differences = useDifferences(shop.slug, from, to);
  const findings = useNewFindings(shop.slug, from, to);
  const unpublished = useDifferences(shop.slug, newest, "draft");
  return (
    <div className="flex h-full flex-col">
      <Strip views={shopViews(shop.slug)}>
        {shown === "site" ? <HistoryButtons stores={stores} /> : null}
        <ShopperView shop={shop.slug} />
      </Strip>
      <main className="flex min-h-0 flex-1 max-md:flex-col max-md:overflow-y-auto">
        <section
          aria-label="Editions"
          className="flex w-[320px] flex-none flex-col gap-4 overflow-y-auto border-e border-hair p-4 max-md:w-full max-md:overflow-y-visible"
        >
          <h1 className="text-2xl">Editions</h1>
          <Fault text={error?.message} />
          {editions ? (
            <>
              <PublishCard
                shop={shop.slug}
                next={(newest ?? 0) + 1}
                changes={newest === undefined ? undefined : unpublished.data?.length}
                published={() => {
                  choose({});
                  void mutate();
                  void unpublished.mutate();
                  void differences.mutate();
                }}
              />
              <EditionList
                shop={shop.slug}
                editions={editions}
                from={from}
                to={to}
                compare={(n) => choose({ from: n, to: "draft" })}
                broughtBack={() => location.reload()}
              />
            </>
          ) : (
            <p className="text-quiet">Loading the editions…</p>
          )}
        </section>
        {from === undefined ? (
          <p className="grid flex-1 place-items-center text-quiet">
            Nothing is published yet. Shoppers see nothing until you publish the first edition.
          </p>
        ) : (
          <div className="flex min-w-0 flex-1 flex-col max-md:min-h-[80vh] max-md:flex-none">
            <div className="flex flex-none gap-1 border-b border-hair px-4 pt-2" role="group" aria-label="Shown">
              {(["differences", "site"] as const).map((one) => (
                <button
                  key={one}
                  type="button"
                  data-act={one === "site" ? "Handoff" : undefined}
                  aria-pressed={one === shown}
                  className={`rounded-t-lg px-3 py-1.5 text-[14px] ${one === shown ? "border-b-2 border-accent font-medium" : "text-quiet hover:bg-sand/60"}`}
                  onClick={() => show(one)}
                >
                  {one === "differences" ? "What changed" : "Handoff"}
                </button>
              ))}
            </div>
            {shown === "site" ? (
              <OntoSite editions={editions ?? []} />
            ) : (
              <section aria-label="What changed" className="flex min-h-0 flex-1 flex-col">
                <DifferenceList
                  editions={editions ?? []}
                  from={from}
                  to={to}
                  choose={choose}
                  differences={differences.data}
                  findings={findings.data}
                  error={differences.error}
                />
                <TwoPages shop={shop.slug} from={from} to={to} />
              </section>
            )}
          </div>
        )}
      </main>
      <Commands stores={stores} />
    </div>
  );
}
