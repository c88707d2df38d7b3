import { useMemo, useState } from "react";
import type { Measure } from "../../core/findings/measure.ts";
import { stateName, useEditions } from "../editions/use-editions.ts";
import { Alert } from "../shell/alert.tsx";
import { Commands } from "../shell/commands.tsx";
import { useAsked, useOpenShop, usePages } from "../shell/shop-context.ts";
import { Strip } from "../shell/strip.tsx";
import { shopViews } from "../shell/views.ts";
import { AssumptionList } from "./assumption-list.tsx";
import { BandFigures } from "./band-figures.tsx";
import { HeightsFile } from "./heights-file.tsx";
import { MainLevers } from "./main-levers.tsx";
import { MeasuringFrame } from "./measuring-frame.tsx";
import type { Order } from "./rehearsal.worker.ts";
import { type Part, RehearsalDetail } from "./rehearsal-detail.tsx";
import { RehearsalForm } from "./rehearsal-form.tsx";
import { RehearsalTabs } from "./rehearsal-tabs.tsx";
import { maxOf, type SpreadName } from "./spread-chart.tsx";
import { useAssumptions } from "./use-assumptions.ts";
import { dataOf, useAgainst, useRun, useStand, useStop, useWorker } from "./use-rehearsal.ts";
import { type RehearsedBand, rehearsedBands, type Wishes } from "./wishes.ts";

/** By band, the row heights of the placed panels, and of which state. */
type Measured = Partial<Record<RehearsedBand, { of: unknown; found: ReadonlyMap<string, Measure> }>>;

/** Sends trial shoppers through a page, on wide screens and phones side by side. */
export function RehearsalView() {
  const { shop, engine, desk } = useOpenShop();
  const { data: stand, error } = useStand(shop.slug, "draft");
  const pages = usePages((document) => document);
  const [wishes, setWishes] = useState<Wishes>({ address: "/", shoppers: 2000, seed: 1, weighing: "even" });
  const [assumptions, setAssumptions] = useAssumptions(shop.slug);
  const [band, setBand] = useState<RehearsedBand>("wide");
  const [part, show] = useState<Part>("ways");
  const [measure, showMeasure] = useState<SpreadName>("seconds");
  const workers = { wide: useWorker(), slim: useWorker() };
  const { address } = wishes;
  const page = useAsked(
    () => desk.page(address, stand?.pages ?? pages, stand?.panels[0]?.slug),
    `${address} ${stand?.panels.length} ${JSON.stringify([stand?.pages.everywhere, stand?.pages.layouts])}`,
  );
  const standing = useMemo(
    () => stand?.panels.filter(({ slug }) => page?.layout.panels.some(({ panel }) => panel === slug)) ?? [],
    [stand, page],
  );
  const [measures, setMeasures] = useState<Measured>({});
  const told = useMemo(() => {
    const on = (one: RehearsedBand) => (found: ReadonlyMap<string, Measure>) =>
      setMeasures((now) => ({ ...now, [one]: { of: standing, found } }));
    return { wide: on("wide"), slim: on("slim") };
  }, [standing]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: a new engine is a new state of the catalogue
  const orders = useMemo(() => {
    const orderOn = (on: RehearsedBand): Order | undefined => {
      const measured = measures[on];
      if (!stand || measured?.of !== standing || standing.length === 0) return undefined;
      return { data: dataOf(shop.slug, "draft"), stand, band: on, measures: measured.found, assumptions, ...wishes };
    };
    return { wide: orderOn("wide"), slim: orderOn("slim") };
  }, [stand, standing, measures, shop.slug, wishes, assumptions, engine]);
  const runs = { wide: useRun(workers.wide, orders.wide), slim: useRun(workers.slim, orders.slim) };
  const stops = { wide: useStop(workers.wide), slim: useStop(workers.slim) };
  const { data: editions } = useEditions(shop.slug);
  const latest = editions?.[0]?.n;
  const { data: published } = useStand(shop.slug, latest);
  const edition = useMemo(
    () => (latest !== undefined && published ? { n: latest, stand: published } : undefined),
    [latest, published],
  );
  const against = {
    wide: useAgainst(workers.wide, runs.wide, edition, shop.slug),
    slim: useAgainst(workers.slim, runs.slim, edition, shop.slug),
  };
  const running = runs.wide?.running || runs.slim?.running;
  const trouble = error?.message ?? runs.wide?.trouble ?? runs.slim?.trouble;
  const end = Math.max(...rehearsedBands.map((one) => maxOf(runs[one]?.walks ?? [], measure)));
  const [run, worker] = [runs[band], workers[band]];
  return (
    <div className="flex h-full flex-col">
      <Strip views={shopViews(shop.slug)} />
      <RehearsalTabs shop={shop.slug} />
      <main className="flex min-h-0 flex-1">
        <section
          aria-label="Page and panel to rehearse"
          className="flex w-[300px] flex-none flex-col gap-4 overflow-y-auto border-e border-hair p-4"
        >
          <h1 className="text-2xl">Rehearsal</h1>
          <RehearsalForm
            wishes={wishes}
            change={setWishes}
            readVisits={async (text, columns) => {
              if (!workers.wide) throw new Error("The rehearsal isn’t ready yet. Try again in a moment.");
              return workers.wide.visits(dataOf(shop.slug, "draft"), text, columns);
            }}
            know={(shares) => setAssumptions({ ...assumptions, knows: { ...assumptions.knows, ...shares } })}
            running={running === true}
            stop={() => {
              stops.wide();
              stops.slim();
            }}
          />
          {orders.wide && orders.slim ? <HeightsFile orders={[orders.wide, orders.slim]} /> : null}
          <AssumptionList assumptions={assumptions} change={setAssumptions} facets={runs.wide?.stage?.facets ?? []} />
        </section>
        <div className="flex min-w-0 flex-1 flex-col overflow-y-auto">
          {page && stand && standing.length === 0 ? (
            <p className="p-4 text-quiet">No panel on this page. Add one under Pages.</p>
          ) : null}
          {trouble ? <Alert text={trouble} /> : null}
          <MainLevers assumptions={assumptions} change={setAssumptions} />
          <div className="grid grid-cols-2 gap-px border-b border-hair bg-hair">
            {rehearsedBands.map((one) => (
              <BandFigures
                key={one}
                band={one}
                run={runs[one]}
                against={against[one]}
                edition={latest === undefined ? undefined : stateName(latest)}
                chosen={one === band}
                choose={() => setBand(one)}
                showShoppers={() => {
                  setBand(one);
                  show("shoppers");
                }}
                measure={measure}
                end={end}
                showMeasure={showMeasure}
              />
            ))}
          </div>
          {run && worker ? (
            <RehearsalDetail key={band} shop={shop.slug} run={run} service={worker} part={part} show={show} />
          ) : null}
        </div>
      </main>
      {standing.length > 0
        ? rehearsedBands.map((one) => (
            <MeasuringFrame
              key={`${one} ${address}`}
              shop={shop.slug}
              address={address}
              band={one}
              panels={standing}
              measured={told[one]}
            />
          ))
        : null}
      <Commands stores={[]} />
    </div>
  );
}
