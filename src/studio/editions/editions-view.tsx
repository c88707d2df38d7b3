import { useMemo, useState } from "react";
import { useSearchParams } from "react-router";
import { PreviewList } from "../previews/preview-list.tsx";
import { SharePreview } from "../previews/share-preview.tsx";
import { usePreviews } from "../previews/use-previews.ts";
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

const tabs = [
  { name: "differences", label: "What changed" },
  { name: "site", label: "Handoff" },
  { name: "previews", label: "Previews" },
] as const;
type Tab = (typeof tabs)[number]["name"];

/** The editions, what changed since, and publishing. */
export function EditionsView() {
  const { shop, settings, pages } = useOpenShop();
  const { data: editions, error, mutate } = useEditions(shop.slug);
  const [chosen, choose] = useState<{ from?: EditionState; to?: EditionState }>({});
  const [query, setQuery] = useSearchParams();
  const shown = tabs.find(({ name }) => name === query.get("show"))?.name ?? "differences";
  const show = (name: Tab) => setQuery(name === "differences" ? {} : { show: name }, { replace: true });
  const stores = useMemo(() => [settings, pages], [settings, pages]);
  const notes = usePreviews(shop.slug).data?.notes ?? [];
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
                doneNotes={notes.filter(
                  ({ doneAt }) => doneAt !== undefined && doneAt > (editions[0]?.createdAt ?? ""),
                )}
                published={() => {
                  choose({});
                  void mutate();
                  void unpublished.mutate();
                  void differences.mutate();
                }}
              />
              <SharePreview shop={shop.slug} shared={() => show("previews")} />
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
        <div className="flex min-w-0 flex-1 flex-col max-md:min-h-[80vh] max-md:flex-none">
          <div className="flex flex-none gap-1 border-b border-hair px-4 pt-2" role="group" aria-label="Shown">
            {tabs.map(({ name, label }) => (
              <button
                key={name}
                type="button"
                data-act={label}
                aria-pressed={name === shown}
                className={`rounded-t-lg px-3 py-1.5 text-[14px] ${name === shown ? "border-b-2 border-accent font-medium" : "text-quiet hover:bg-sand/60"}`}
                onClick={() => show(name)}
              >
                {label}
              </button>
            ))}
          </div>
          {shown === "previews" ? (
            <PreviewList shop={shop.slug} />
          ) : from === undefined ? (
            <p className="grid flex-1 place-items-center text-quiet">
              Nothing is published yet. Shoppers see nothing until you publish the first edition.
            </p>
          ) : shown === "site" ? (
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
      </main>
      <Commands stores={stores} />
    </div>
  );
}
