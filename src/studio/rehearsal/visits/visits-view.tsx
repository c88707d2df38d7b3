import { useState } from "react";
import type { PageVisits, VisitReport, VisitSource, VisitState } from "../../../core/api/visit-report.ts";
import { statedShare } from "../../../core/rehearsal/assumptions.ts";
import { knownFromVisits } from "../../../core/rehearsal/known-from-visits.ts";
import { Fault } from "../../shell/alert.tsx";
import { Commands } from "../../shell/commands.tsx";
import { pageName } from "../../shell/page-names.ts";
import { useAllPages, useOpenShop } from "../../shell/shop-context.ts";
import { Strip } from "../../shell/strip.tsx";
import { shopViews } from "../../shell/views.ts";
import { bandNames, inPercent } from "../in-words.ts";
import { RehearsalTabs } from "../rehearsal-tabs.tsx";
import { useAssumptions } from "../use-assumptions.ts";
import { Collecting } from "./collecting.tsx";
import { EditionComparison } from "./edition-comparison.tsx";
import { ImportVisits } from "./import-visits.tsx";
import { PageList } from "./page-list.tsx";
import { PageVisitsView } from "./page-visits.tsx";
import { useVisitedPanels, type VisitedPanel } from "./use-visited-panels.ts";
import { isMadeUp, useVisits } from "./use-visits.ts";

/** The acts of real shoppers on a site with the panels. */
export function VisitsView() {
  const { shop } = useOpenShop();
  const [of, setOf] = useState<VisitSource>();
  const { data, error } = useVisits(shop.slug, of);
  const report = data?.report;
  const [chosen, setChosen] = useState<{ page: string; band: string }>();
  const page =
    report?.pages.find((one) => one.page === chosen?.page && one.band === chosen.band) ?? report?.pages.at(0);
  const names = useAllPages();
  const nameOf = (address: string) => {
    const found = names.find((one) => one.address === address);
    return found ? `${pageName(found)}` : address;
  };
  return (
    <div className="flex h-full flex-col">
      <Strip views={shopViews(shop.slug)} />
      <RehearsalTabs shop={shop.slug} />
      <main className="flex min-h-0 flex-1">
        <section
          aria-label="Source of the visits"
          className="flex w-[300px] flex-none flex-col gap-5 overflow-y-auto border-e border-hair p-4 text-[13px]"
        >
          <div>
            <h1 className="text-2xl">Visits</h1>
            <p className="text-quiet">
              What shoppers did on the pages of your site. No cookies, and nothing about the person.
            </p>
          </div>
          <Fault text={error?.message} />
          {data?.file && data.collected ? (
            <label className="flex flex-col gap-1">
              <span className="font-medium">Show</span>
              <select
                className="select select-sm w-full"
                value={data.source}
                onChange={({ target: { value } }) => setOf(value === "file" ? "file" : "collected")}
              >
                <option value="file">File {data.file.name}</option>
                <option value="collected">Collected on this server</option>
              </select>
            </label>
          ) : null}
          <ImportVisits imported={() => setOf("file")} />
          {data ? <Collecting state={data} /> : null}
        </section>
        <div className="flex min-w-0 flex-1 flex-col gap-5 overflow-auto p-5 text-[13px]">
          {data && !report ? <Nothing /> : null}
          {data && report ? (
            <>
              <Origin state={data} report={report} />
              <PageList pages={report.pages} chosen={page} choose={setChosen} nameOf={nameOf} />
              {report.ofEditions && report.ofEditions.length > 1 ? (
                <EditionComparison editions={report.ofEditions} />
              ) : null}
              {page ? <Detail report={report} page={page} name={nameOf(page.page)} /> : null}
            </>
          ) : null}
        </div>
      </main>
      <Commands stores={[]} />
    </div>
  );
}

const Nothing = () => (
  <p className="max-w-prose text-quiet">
    No visits yet. Import the file that your site has written, or turn on collecting and add the attribute{" "}
    <code>visits</code> to a panel of your pages. Then you see here which facets shoppers use, what they search for in
    vain, and how many choices they need.
  </p>
);

/** Where the visits come from, and which lines were left out. */
function Origin({ state, report: { lines, left, editions } }: { state: VisitState; report: VisitReport }) {
  const { file, source } = state;
  const of = editions.length > 0 ? `, of ${editions.length === 1 ? "edition" : "editions"} ${editions.join(", ")}` : "";
  return (
    <div className="flex flex-col gap-1">
      <p>
        {lines.toLocaleString("en")} lines {source === "file" ? `of ${file?.name}` : "collected on this server"}
        {of}.{" "}
        {isMadeUp(state) ? (
          <b className="rounded bg-accent/25 px-1.5 py-0.5">Made up: trial shoppers made them for the demo.</b>
        ) : null}
      </p>
      {left.map(({ why, lines: out, first }) => (
        <p key={why} className="text-error">
          {out.toLocaleString("en")} {out === 1 ? "line is" : "lines are"} left out: {why}. The first is line{" "}
          {first.toLocaleString("en")}.
        </p>
      ))}
    </div>
  );
}

const none: readonly VisitedPanel[] = [];

/** One page on one band, against its panels as visitors saw them. */
function Detail({ report, page, name }: { report: VisitReport; page: PageVisits; name: string }) {
  const { shop, fieldOf } = useOpenShop();
  const [assumptions, setAssumptions] = useAssumptions(shop.slug);
  const panels = useVisitedPanels(report, page.page) ?? none;
  const known = knownFromVisits(page);
  const assumed = (key: string) => {
    const field = fieldOf(key);
    return field ? statedShare(field, assumptions) : 0;
  };
  const list = Object.entries(known)
    .map(([key, share]) => `${fieldOf(key)?.name ?? key} ${inPercent(share)}`)
    .join(", ");
  return (
    <section aria-label={`Visits of ${name}`} className="flex flex-col gap-4">
      <h2 className="text-lg">
        {name}, {bandNames[page.band].toLowerCase()}
      </h2>
      <PageVisitsView visits={page} panels={panels} assumed={assumed} />
      {list === "" ? null : (
        <div className="flex max-w-prose flex-col items-start gap-2">
          <p>
            Estimated from these visits, the share of shoppers who know what their product has: {list}. Choices say
            nothing about facets without any.
          </p>
          <button
            type="button"
            className="btn btn-sm"
            onClick={() => setAssumptions({ ...assumptions, knows: { ...assumptions.knows, ...known } })}
          >
            Use in trial runs
          </button>
        </div>
      )}
    </section>
  );
}
