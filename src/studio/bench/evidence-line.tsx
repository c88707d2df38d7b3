import { useEffect, useMemo } from "react";
import type { Clause } from "../../core/engine/question.ts";
import type { Finding } from "../../core/findings/finding.ts";
import { facetRows } from "../../core/panel/panel.ts";
import type { PanelDocument } from "../../core/panel/panel-schema.ts";
import { pageUse } from "../../core/rehearsal/page-use.ts";
import { bands } from "../../core/settings/band.ts";
import { Opens } from "../numbers/opens.tsx";
import { useVisitedPanels } from "../rehearsal/visits/use-visited-panels.ts";
import { isMadeUp, useVisits } from "../rehearsal/visits/use-visits.ts";
import { Tip } from "../shell/explained.tsx";
import { percent } from "../shell/percent.ts";
import { Popover } from "../shell/popover.tsx";
import { useAsked, useOpenShop, usePages } from "../shell/shop-context.ts";
import { usePanels } from "../shell/use-panels.ts";
import { useBench, usePanel, useSession } from "./bench-context.ts";
import { FacetTable, linesOf } from "./facet-table.tsx";
import { FindingList } from "./finding-list.tsx";
import { HeightTable, useMeasures } from "./height-table.tsx";
import { PanelSheet } from "./panel-sheet.tsx";
import { ShiftTable } from "./shift-table.tsx";
import { useDrawnIn } from "./use-drawn-in.ts";

/** Findings are computed when the pages have shown a change. */
const findingPause = 250;

const whole: Clause[] = [];

const part = "rounded-md px-1.5 py-1 hover:bg-sand";

/** Findings shared by panels and pages; the panel’s own already refer to this page. */
const toldOfPanels = new Set(["low-reach-here", "facet-not-here"]);
const none: readonly Finding[] = [];

/** The findings of the stage's page that concern this panel or no panel: the same as in the table of pages. */
function usePageFindings(panel: PanelDocument): readonly Finding[] {
  const { desk } = useOpenShop();
  const { slug } = useBench();
  const pages = usePages((document) => document);
  const panels = usePanels();
  const address = useSession((state) => state.address);
  const question = useMemo(() => ({ address, pages, panels, panel }), [address, pages, panels, panel]);
  const found = useAsked(
    async () => {
      if (!panels) return none;
      const [figures] = await desk.figures([address], pages, new Map([...panels]).set(slug, panel));
      return (figures?.findings ?? [])
        .filter(({ kind, level, panel: of }) => level !== "note" && !toldOfPanels.has(kind) && (of ?? slug) === slug)
        .map(
          ({ kind, level, row, words, remedy }): Finding => ({
            ...{ kind, level, words, ...(row ? { row } : {}), ...(remedy ? { remedy } : {}) },
          }),
        );
    },
    question,
    findingPause,
  );
  return found ?? none;
}

/** Keeps what real shoppers did on the stage's page in the session. */
function useVisitsHere(): void {
  const { shop } = useOpenShop();
  const { session } = useBench();
  const address = useSession((state) => state.address);
  const { data } = useVisits(shop.slug);
  const panels = useVisitedPanels(data?.report, address);
  useEffect(() => {
    const offered = panels?.flatMap(({ document }) => facetRows(document).map(({ field }) => field));
    session.setState({ use: data?.report && pageUse(data.report, address, offered, isMadeUp(data)) });
  }, [session, data, address, panels]);
}

/** The present numbers: products found, the panel's reach, its heights, and findings. Each opens its detail. */
export function EvidenceLine() {
  const { desk } = useOpenShop();
  useVisitsHere();
  const panel = usePanel((state) => state.document);
  const selection = useSession((state) => state.selection);
  const measures = useMeasures();
  const look = useDrawnIn();
  const shifts = useSession((state) => state.shifts);
  const asked = useSession((state) => state.asked);
  const answer = useSession((state) => state.answer);
  const reaches = useSession((state) => state.reaches);
  const within = useSession((state) => state.shown?.page.within) ?? whole;
  // Memoized by its parts, which are the same objects while unchanged.
  const visits = useSession((state) => state.use);
  const known = useMemo(() => ({ measures, within, look, visits }), [measures, within, look, visits]);
  const question = useMemo(() => ({ panel, selection, known }), [panel, selection, known]);
  const findings = useAsked(() => desk.findings(panel, selection, known), question, findingPause) ?? [];
  const wrongHere = usePageFindings(panel);
  const all = useMemo(() => [...findings, ...wrongHere], [findings, wrongHere]);
  if (!answer || !asked) return <div className="h-11 flex-none border-t border-hair bg-base-100" />;
  const { total, outOf } = answer;
  const lines = linesOf(panel, answer, reaches, asked);
  const least = lines.reduce((low, { reach }) => Math.min(low, reach), outOf);
  const nowhere = lines.reduce((sum, { dead }) => sum + dead, 0);
  const options = lines.reduce((sum, one) => sum + one.options, 0);
  const { wide } = measures;
  const felt = bands.flatMap((band) => shifts[band]?.rows.map((one) => one.felt) ?? []);
  const worst = felt.length > 0 ? Math.max(...felt) : undefined;
  return (
    <>
      <output
        className="flex flex-none items-center gap-0.5 overflow-x-auto border-t border-hair bg-base-100 px-3 py-1.5 text-[13px] whitespace-nowrap tabular-nums"
        aria-label="Numbers of the page"
      >
        <span className="px-1.5 py-1">
          <Opens
            className="text-[15px] font-bold"
            number={() => ({
              title: "Products found",
              says: `Products on this page that match all chosen filters. Without filters, the page has ${outOf.toLocaleString("en")}.`,
              told: total,
              behind: { products: [{ ...asked, ways: [asked.choices] }] },
            })}
          >
            {total.toLocaleString("en")}
          </Opens>{" "}
          of {outOf.toLocaleString("en")} found
        </span>
        <Popover
          label="Each facet’s reach and options"
          placement="top-start"
          className="w-[560px] p-3"
          trigger={(props) => (
            <Tip words="Reach: the share of products that a facet’s options can find. This is the lowest of all facets.">
              <button type="button" {...props} className={part}>
                lowest reach <b>{percent(least, outOf)}</b>,{" "}
                <b className={nowhere > 0 ? "text-error" : ""}>{nowhere.toLocaleString("en")}</b> of{" "}
                {options.toLocaleString("en")} options empty
              </button>
            </Tip>
          )}
        >
          {() => <FacetTable lines={lines} outOf={outOf} asked={asked} />}
        </Popover>
        {wide ? (
          <Popover
            label="Row heights"
            placement="top"
            className="w-[480px] p-3"
            trigger={(props) => (
              <Tip words="Height of the panel on the wide page, compared with the first screen.">
                <button type="button" {...props} className={part}>
                  panel <b className={wide.panel > wide.screen * 2 ? "text-error" : ""}>{wide.panel}</b> px, screen{" "}
                  {wide.screen}
                </button>
              </Tip>
            )}
          >
            {() => <HeightTable />}
          </Popover>
        ) : null}
        <Popover
          label="Layout shift of each row"
          placement="top"
          className="w-[640px] p-3"
          trigger={(props) => (
            <Tip words="How far the worst step moves the page under a finger, as browsers measure layout shift: 0 for not at all, above 0.1 is felt.">
              <button type="button" {...props} className={part}>
                shift{" "}
                <b className={worst !== undefined && worst > 0.1 ? "text-error" : ""}>
                  {worst?.toFixed(2) ?? "not measured"}
                </b>
              </button>
            </Tip>
          )}
        >
          {() => <ShiftTable />}
        </Popover>
        <Popover
          label="Findings"
          placement="top-end"
          className="w-[480px] p-2"
          trigger={(props) => (
            <button type="button" {...props} className={`${part} ms-auto`}>
              <b className={all.length > 0 ? "text-error" : "text-success"}>{all.length}</b>{" "}
              {all.length === 1 ? "finding" : "findings"}
            </button>
          )}
        >
          {(close) => <FindingList findings={all} close={close} />}
        </Popover>
      </output>
      <PanelSheet findings={all} lines={lines} outOf={outOf} measures={measures} />
    </>
  );
}
