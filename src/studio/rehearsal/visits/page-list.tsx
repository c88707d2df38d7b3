import type { PageVisits } from "../../../core/api/visit-report.ts";
import { enoughVisits } from "../../../core/findings/visit-use.ts";
import { bandNames } from "../in-words.ts";
import { ShareBar } from "./share-bar.tsx";

interface Props {
  pages: readonly PageVisits[];
  chosen: PageVisits | undefined;
  choose(page: PageVisits): void;
  nameOf(address: string): string;
}

const heads = [
  "Page",
  "Width",
  "Visits",
  "Chose something",
  "Found nothing",
  "Opened a product",
  "Choices before",
  "Seconds before",
];

/** The pages with visits, most visited first; one can be selected. */
export const PageList = ({ pages, chosen, choose, nameOf }: Props) => (
  <table className="table table-sm w-auto">
    <thead>
      <tr>
        {heads.map((head) => (
          <th
            key={head}
            scope="col"
            className={
              ["Visits", "Choices before", "Seconds before"].includes(head) ? "w-20 text-end whitespace-normal" : ""
            }
          >
            {head}
          </th>
        ))}
      </tr>
    </thead>
    <tbody className="tabular-nums">
      {pages.map((one) => (
        <tr
          key={`${one.page} ${one.band}`}
          className={one === chosen ? "bg-plum-soft" : "hover:bg-sand/60"}
          aria-current={one === chosen || undefined}
        >
          <th scope="row" className="font-medium whitespace-nowrap">
            <button type="button" className="text-start underline-offset-4 hover:underline" onClick={() => choose(one)}>
              {nameOf(one.page)}
            </button>
          </th>
          <td className="whitespace-nowrap">{bandNames[one.band]}</td>
          <td className="text-end whitespace-nowrap">
            {one.visits.toLocaleString("en")}
            {one.visits < enoughVisits ? (
              <span className="text-quiet" title={`Fewer than ${enoughVisits}: shares say little.`}>
                {" "}
                few
              </span>
            ) : null}
          </td>
          <td>
            <ShareBar share={one.choosing} />
          </td>
          <td>
            <ShareBar share={one.empty} />
          </td>
          <td>
            <ShareBar share={one.opening} />
          </td>
          <td className="text-end">{one.choicesBefore ?? "–"}</td>
          <td className="text-end">{one.secondsBefore ?? "–"}</td>
        </tr>
      ))}
    </tbody>
  </table>
);
