import type { FindingLevel } from "../../core/findings/finding.ts";
import type { PageFigures } from "../../core/findings/page/figures.ts";
import type { PageFinding } from "../../core/findings/page/page-finding.ts";
import type { PanelDocument } from "../../core/panel/panel-schema.ts";
import { Opens } from "../numbers/opens.tsx";
import { percent } from "../shell/percent.ts";
import { useOpenedFacet } from "./opened.ts";

interface Props {
  figures: PageFigures | undefined;
  panels: ReadonlyMap<string, PanelDocument>;
}

/** The details of a page: its facets with their options there, and its findings. */
export function PageDetail({ figures, panels }: Props) {
  if (!figures) return <p className="border-b border-hair px-10 py-3 text-quiet">Counting…</p>;
  const { facets, findings } = figures;
  return (
    <div className="grid grid-cols-[minmax(0,3fr)_minmax(0,2fr)] gap-8 border-b border-hair bg-base-200/60 px-10 py-3">
      {facets.length === 0 ? (
        <p className="text-quiet">No panel on this page.</p>
      ) : (
        <Facets figures={figures} panels={panels} />
      )}
      {findings.length === 0 ? (
        <p className="text-success">No findings on this page.</p>
      ) : (
        <Findings findings={findings} />
      )}
    </div>
  );
}

function Facets({ figures, panels }: { figures: PageFigures; panels: Props["panels"] }) {
  const { facets, products } = figures;
  const opened = useOpenedFacet(figures, panels);
  return (
    <table className="w-full self-start">
      <thead>
        <tr className="text-quiet">
          <th className="text-start font-normal">Facet</th>
          <th className="text-start font-normal">Panel</th>
          <th className="text-end font-normal">Options here</th>
          <th className="text-end font-normal">Left out</th>
          <th className="text-end font-normal">Reach</th>
        </tr>
      </thead>
      <tbody>
        {facets.map(({ panel, row, title, options, left, reach }) => (
          <tr key={`${panel} ${row}`} className={reach === 0 ? "text-quiet" : ""}>
            <th scope="row" className="py-0.5 text-start font-medium">
              {title}
              {reach === 0 ? " (not shown)" : ""}
            </th>
            <td className="text-quiet">{panels.get(panel)?.name ?? panel}</td>
            <td className="text-end">{options === undefined ? "range" : options.toLocaleString("en")}</td>
            <td className="text-end">
              {left > 0 ? (
                <Opens number={() => opened(panel, row, title).left(left)}>{left.toLocaleString("en")}</Opens>
              ) : null}
            </td>
            <td className="text-end">
              {products === 0 ? (
                "–"
              ) : (
                <Opens number={() => opened(panel, row, title).reach(reach, products)}>
                  {reach.toLocaleString("en")}, {percent(reach, products)}
                </Opens>
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const badge: Record<FindingLevel, string> = { error: "badge-error", warning: "badge-warning", note: "" };

function Findings({ findings }: { findings: readonly PageFinding[] }) {
  return (
    <ul className="flex flex-col gap-1.5" aria-label="Findings">
      {findings.map(({ kind, level, words, row, panel }) => (
        <li key={`${kind} ${panel} ${row} ${words}`} className="flex gap-2">
          <span className={`badge badge-xs mt-1 w-14 flex-none ${badge[level]}`}>{level}</span>
          <span>{words}</span>
        </li>
      ))}
    </ul>
  );
}
