import { useEffect } from "react";
import { Link } from "react-router";
import type { Finding } from "../../core/evidence/findings.ts";
import type { Answer } from "../../core/match/answer.ts";
import { bands } from "../../core/panel/bands.ts";
import { engineFacets, facetRows, rulesOf } from "../../core/panel/document.ts";
import { mendEdit } from "../../core/panel/mend-step.ts";
import { isShown } from "../../core/panel/options.ts";
import { percent } from "../shell/percent.ts";
import { Popover } from "../shell/popover.tsx";
import { useAnswer, useAsked, useOpenShop } from "../shell/shop-context.ts";
import { useBench, usePanel, useSession } from "./bench-context.ts";
import { rowTitle } from "./row-title.ts";

/** Findings wait until the pages have shown a change. */
const findingPause = 250;

const part = "rounded-md px-2 py-1 hover:bg-sand";

/** What the present choices find, what the panel's facets reach, how high they stand, and what is wrong. Each opens its detail. */
export function EvidenceLine() {
  const { desk } = useOpenShop();
  const panel = usePanel((state) => state.document);
  const selection = useSession((state) => state.selection);
  const measures = useSession((state) => state.measures);
  const answer = useAnswer({ facets: engineFacets(panel, "wide"), selection, sort: "", from: 0, size: 0 });
  const findings = useAsked(() => desk.findings(panel, selection, measures), JSON.stringify([panel, selection, measures]), findingPause) ?? [];
  if (!answer) return <div className="h-11 flex-none border-t border-hair bg-base-100" />;
  const { total, outOf } = answer;
  const lines = linesOf(panel, answer);
  const least = lines.reduce((low, { reach }) => Math.min(low, reach), outOf);
  const nowhere = lines.reduce((sum, { dead }) => sum + dead, 0);
  const options = lines.reduce((sum, one) => sum + one.options, 0);
  const { wide } = measures;
  return (
    <output className="flex flex-none items-center gap-1 border-t border-hair bg-base-100 px-3 py-1.5 text-[13px] tabular-nums" aria-label="Evidence">
      <span className="px-2 py-1">
        <b className="text-[15px]">{total}</b> of {outOf} found
      </span>
      <Popover
        label="Each facet's reach and options"
        placement="top-start"
        className="w-[560px] p-3"
        trigger={(props) => (
          <button type="button" {...props} className={part}>
            least reach <b>{percent(least, outOf)}</b>, <b className={nowhere > 0 ? "text-error" : ""}>{nowhere}</b> of {options} options lead nowhere
          </button>
        )}
      >
        {() => <FacetTable lines={lines} outOf={outOf} />}
      </Popover>
      {wide ? (
        <Popover
          label="How high the rows stand"
          placement="top"
          className="w-[480px] p-3"
          trigger={(props) => (
            <button type="button" {...props} className={part}>
              panel <b className={wide.panel > wide.screen * 2 ? "text-error" : ""}>{wide.panel}</b> px, screen {wide.screen}
            </button>
          )}
        >
          {() => <HeightTable />}
        </Popover>
      ) : null}
      <Popover
        label="Findings"
        placement="top-end"
        className="w-[480px] p-2"
        trigger={(props) => (
          <button type="button" {...props} className={`${part} ms-auto`}>
            <b className={findings.length > 0 ? "text-error" : "text-success"}>{findings.length}</b> {findings.length === 1 ? "finding" : "findings"}
          </button>
        )}
      >
        {(close) => <FindingList findings={findings} close={close} />}
      </Popover>
    </output>
  );
}

interface Line {
  id: string;
  title: string;
  reach: number;
  options: number;
  dead: number;
}

function linesOf(panel: Parameters<typeof facetRows>[0], { facets }: Answer): Line[] {
  return facetRows(panel).flatMap((row): Line[] => {
    const found = facets[row.field];
    if (!found) return [];
    const rules = rulesOf(row);
    const shown = found.range ? [] : found.options.map(({ id }, o) => ({ id, live: found.counts.live[o] })).filter(({ id }) => isShown(rules, id));
    return [
      {
        id: row.id,
        title: row.label || found.field.name,
        reach: found.reach,
        options: shown.length,
        dead: shown.filter(({ live }) => live === 0).length,
      },
    ];
  });
}

function FacetTable({ lines, outOf }: { lines: readonly Line[]; outOf: number }) {
  const { session } = useBench();
  return (
    <table className="w-full text-[13px]">
      <thead>
        <tr className="text-start text-quiet">
          <th className="text-start font-normal">Facet</th>
          <th className="text-end font-normal">Reach</th>
          <th className="text-end font-normal">Options</th>
          <th className="text-end font-normal">Lead nowhere</th>
        </tr>
      </thead>
      <tbody>
        {lines.map(({ id, title, reach, options, dead }) => (
          <tr key={id} className="hover:bg-sand" onPointerEnter={() => session.setState({ marked: id })}>
            <th scope="row" className="py-0.5 text-start font-medium">
              {title}
            </th>
            <td className="text-end">
              {reach.toLocaleString("en")}, {percent(reach, outOf)}
            </td>
            <td className="text-end">{options === 0 ? "range" : options.toLocaleString("en")}</td>
            <td className={`text-end ${dead > 0 ? "text-error" : ""}`}>{options === 0 ? "" : dead.toLocaleString("en")}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function HeightTable() {
  const { session } = useBench();
  const { fieldOf } = useOpenShop();
  const rows = usePanel((state) => state.document.rows);
  const measures = useSession((state) => state.measures);
  useEffect(() => {
    session.setState({ measuring: true });
    return () => session.setState({ measuring: false });
  }, [session]);
  return (
    <table className="w-full text-[13px]">
      <thead>
        <tr className="text-quiet">
          <th className="text-start font-normal">Height in px</th>
          {bands.map((band) => (
            <th key={band} className="w-20 text-end font-normal">
              {band}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr key={row.id} className="hover:bg-sand" onPointerEnter={() => session.setState({ marked: row.id })}>
            <th scope="row" className="py-0.5 text-start font-medium">
              {rowTitle(row, fieldOf)}
            </th>
            {bands.map((band) => (
              <HeightCell key={band} value={measures[band]?.rows[row.id]} screen={measures[band]?.screen} />
            ))}
          </tr>
        ))}
        <tr className="border-t border-hair">
          <th scope="row" className="py-0.5 text-start">
            The panel
          </th>
          {bands.map((band) => (
            <HeightCell key={band} value={measures[band]?.panel} />
          ))}
        </tr>
        <tr className="text-quiet">
          <th scope="row" className="py-0.5 text-start font-normal">
            First screen
          </th>
          {bands.map((band) => (
            <HeightCell key={band} value={measures[band]?.screen} />
          ))}
        </tr>
      </tbody>
    </table>
  );
}

/** A height; red when it alone is higher than the screen. */
function HeightCell({ value, screen = Number.POSITIVE_INFINITY }: { value: number | undefined; screen?: number }) {
  return <td className={`text-end ${value !== undefined && value > screen ? "text-error" : ""}`}>{value ?? "–"}</td>;
}

function FindingList({ findings, close }: { findings: readonly Finding[]; close(): void }) {
  const { shop, profileOf } = useOpenShop();
  const { panel: store, session } = useBench();
  if (findings.length === 0) return <p className="p-2 text-success">Nothing is wrong that can be computed.</p>;
  return (
    <ul className="divide-y divide-hair text-[13px]">
      {findings.map((finding) => (
        <li
          key={finding.words}
          className="flex items-center gap-3 px-2 py-1.5 hover:bg-sand"
          onPointerEnter={() => session.setState({ marked: finding.row })}
        >
          <span className="min-w-0 flex-1">{finding.words}</span>
          {finding.field && finding.kind < 3 ? (
            <Link className="link flex-none" to={`/shops/${encodeURIComponent(shop.slug)}/catalogue?field=${encodeURIComponent(finding.field)}`}>
              See which
            </Link>
          ) : null}
          {finding.row ? (
            <button
              type="button"
              className="link flex-none"
              onClick={() => {
                session.setState({ unfolded: finding.row });
                close();
              }}
            >
              Settings
            </button>
          ) : null}
          {finding.mend ? (
            <button
              type="button"
              className="btn btn-xs flex-none"
              onClick={() => {
                const edit = mendEdit(store.getState().document, finding, profileOf);
                if (edit) store.getState().apply(edit);
              }}
            >
              {finding.mend.words}
            </button>
          ) : null}
        </li>
      ))}
    </ul>
  );
}
