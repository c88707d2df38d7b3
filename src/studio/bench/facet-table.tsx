import type { Answer } from "../../core/engine/answer.ts";
import type { Reaches } from "../../core/findings/reach.ts";
import { offeredOptions, shownOn } from "../../core/panel/offered.ts";
import { engineFacets, facetRows } from "../../core/panel/panel.ts";
import type { PanelDocument } from "../../core/panel/panel-schema.ts";
import { namedOptions, waysOfReach } from "../../core/recount/of-facet.ts";
import type { CountedOptions, CountedProducts } from "../../core/recount/recount.ts";
import type { Asked } from "../../core/recount/rows.ts";
import type { OpenedNumber } from "../numbers/opened-number.ts";
import { Opens } from "../numbers/opens.tsx";
import { Explained } from "../shell/explained.tsx";
import { percent } from "../shell/percent.ts";
import { useBench } from "./bench-context.ts";

/** The numbers of one facet. */
export interface Line {
  id: string;
  title: string;
  reach: number;
  options: number;
  dead: number;
  /** How to recount its reach; called when it is opened. */
  ways(): readonly CountedProducts[];
  /** Its options on the wide band. */
  offers(): CountedOptions["offers"];
}

/** A line for each facet of a panel whose field exists. */
export function linesOf(
  panel: Pick<PanelDocument, "rows">,
  { facets }: Answer,
  reaches: Reaches,
  page: Pick<Asked, "within" | "searching">,
): Line[] {
  const asked = new Map(engineFacets(panel, "wide").map((facet) => [facet.field, facet]));
  return facetRows(panel).flatMap((row): Line[] => {
    const [found, facet] = [facets[row.field], asked.get(row.field)];
    if (!found || !facet) return [];
    const offered = found.range ? [] : offeredOptions(row, shownOn(row, "wide"), found);
    const title = row.label || found.field.name;
    return [
      {
        id: row.id,
        title,
        ways: () => waysOfReach(row, facet, found, page),
        offers: () => [
          {
            title,
            facet,
            options: namedOptions(
              row,
              offered.flatMap((o) => found.options[o] ?? []),
            ),
          },
        ],
        reach: reaches.get(row.id) ?? 0,
        options: offered.length,
        dead: offered.filter((o) => found.counts.live[o] === 0).length,
      },
    ];
  });
}

/** Each facet’s reach and options. @param asked the page’s conditions and the current choices */
export function FacetTable({ lines, outOf, asked }: { lines: readonly Line[]; outOf: number; asked: Asked }) {
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
            <Explained by="Options that match no products with the current choices.">Without products</Explained>
          </th>
        </tr>
      </thead>
      <tbody>
        {lines.map(({ id, title, reach, options, dead, ways, offers }) => (
          <tr key={id} className="hover:bg-sand" onPointerEnter={() => session.setState({ marked: id })}>
            <th scope="row" className="py-0.5 text-start font-medium">
              {title}
            </th>
            <td className="text-end">
              <Opens number={() => reachOf(title, reach, outOf, ways())}>
                {reach.toLocaleString("en")}, {percent(reach, outOf)}
              </Opens>
            </td>
            <td className="text-end">{options === 0 ? "range" : options.toLocaleString("en")}</td>
            <td className={`text-end ${dead > 0 ? "text-error" : ""}`}>
              {options === 0 ? null : (
                <Opens
                  number={() => deadOptions(`Options of ${title} without products`, dead, { asked, offers: offers() })}
                >
                  {dead.toLocaleString("en")}
                </Opens>
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** The reach of a facet, as a number that opens. */
export const reachOf = (
  title: string,
  reach: number,
  outOf: number,
  ways: readonly CountedProducts[],
): OpenedNumber => ({
  title: `Reach of ${title}`,
  says: `Products of this page that at least one option of ${title} finds. The other ${(outOf - reach).toLocaleString("en")} of ${outOf.toLocaleString("en")} disappear as soon as a shopper uses it. Where bands offer different options, this is the band that finds fewest.`,
  told: reach,
  behind: { products: ways },
});

/** The number of options that find nothing, which opens. */
export const deadOptions = (title: string, told: number, options: CountedOptions): OpenedNumber => ({
  title,
  says: "Options on the wide page that match no products with the current choices. A shopper who chooses one sees an empty page, unless the panel fades or hides them.",
  told,
  behind: { options },
});
