import type { FieldProfile } from "../../core/evidence/profile.ts";
import { isWorthAFacet, suggestDisplay } from "../../core/evidence/suggest.ts";
import { displays } from "../../storefront/displays/index.ts";
import { percent } from "../bench/reach.tsx";

const kinds = { text: "text", number: "number", date: "date", "yes-no": "yes / no", path: "category path" } as const;

/** Fields with reach, values and what they are good for. */
export function FieldTable({ profiles }: { profiles: readonly FieldProfile[] }) {
  return (
    <div className="overflow-x-auto rounded-box border border-hair">
      <table className="table table-sm">
        <thead className="bg-sand text-base-content">
          <tr>
            <th>Field</th>
            <th>Kind</th>
            <th>Level</th>
            <th className="w-44">Reach</th>
            <th className="text-end">Values</th>
            <th>Most frequent</th>
            <th>As a facet</th>
          </tr>
        </thead>
        <tbody>
          {profiles.map((profile) => {
            const { field, reach, outOf, options, samples, clashes, level } = profile;
            const share = outOf === 0 ? 0 : (reach / outOf) * 100;
            const suggestion = suggestDisplay(profile);
            return (
              <tr key={field.key}>
                <th scope="row" className="font-medium">
                  {field.name}
                </th>
                <td>{kinds[field.kind]}</td>
                <td>{level}</td>
                <td>
                  <span className="flex items-center gap-2" title={`${reach} of ${outOf} products`}>
                    <span className="h-1.5 w-20 overflow-hidden rounded-full bg-base-300" aria-hidden>
                      <span className={`block h-full ${share < 50 ? "bg-error" : "bg-success"}`} style={{ width: `${share}%` }} />
                    </span>
                    {percent(reach, outOf)}
                  </span>
                </td>
                <td className="text-end">{options.toLocaleString("en")}</td>
                <td className="max-w-72">
                  <span className="block truncate">{samples.join(", ")}</span>
                  {clashes > 0 ? (
                    <span className="text-[12px] text-quiet">
                      {clashes} {clashes === 1 ? "spelling" : "spellings"} joined, alike but for case or spaces
                    </span>
                  ) : null}
                </td>
                <td className="text-quiet">
                  {isWorthAFacet(profile) ? `${displays[suggestion.display].label}: ${suggestion.reason}` : "Not by itself"}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
