import type { Reaches } from "../../core/finding/reach.ts";
import type { Answer } from "../../core/match/answer.ts";
import { offeredOptions, shownOn } from "../../core/panel/offered.ts";
import { facetRows } from "../../core/panel/panel.ts";
import type { PanelDocument } from "../../core/panel/panel-schema.ts";
import { Explained } from "../shell/explained.tsx";
import { percent } from "../shell/percent.ts";
import { useBench } from "./bench-context.ts";

/** What the evidence says of one facet. */
export interface Line {
  id: string;
  title: string;
  reach: number;
  options: number;
  dead: number;
}

/** A line for each facet of a panel that the catalogue has. */
export function linesOf(panel: Pick<PanelDocument, "rows">, { facets }: Answer, reaches: Reaches): Line[] {
  return facetRows(panel).flatMap((row): Line[] => {
    const found = facets[row.field];
    if (!found) return [];
    const offered = found.range ? [] : offeredOptions(row, shownOn(row, "wide"), found);
    return [
      {
        id: row.id,
        title: row.label || found.field.name,
        reach: reaches.get(row.id) ?? 0,
        options: offered.length,
        dead: offered.filter((o) => found.counts.live[o] === 0).length,
      },
    ];
  });
}

/** Each facet's reach and options. */
export function FacetTable({ lines, outOf }: { lines: readonly Line[]; outOf: number }) {
  const { session } = useBench();
  return (
    <table className="w-full text-[13px]">
      <thead>
        <tr className="text-start text-quiet">
          <th className="text-start font-normal">Facet</th>
          <th className="text-end font-normal">
            <Explained by="Products that some option of the facet finds, out of all on the page.">Reach</Explained>
          </th>
          <th className="text-end font-normal">Options</th>
          <th className="text-end font-normal">
            <Explained by="Options that no product fits with what is chosen now.">Find nothing</Explained>
          </th>
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
            <td className={`text-end ${dead > 0 ? "text-error" : ""}`}>
              {options === 0 ? "" : dead.toLocaleString("en")}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
