import { useState } from "react";
import { fitsWords, words } from "../../core/index/words.ts";
import { countsOf } from "../../core/match/engine.ts";
import type { LinksPiece } from "../../core/panel/panel-schema.ts";
import { Choice } from "../controls/choice.tsx";
import { FindField } from "../controls/find-field.tsx";
import { useAnswer } from "../shell/shop-context.ts";
import { PieceLine } from "./piece-line.tsx";

interface Props {
  row: LinksPiece;
  title: string;
  change(row: LinksPiece, what: string): void;
}

/** Values that are listed at once. */
const most = 100;

/** Which values of its field a piece of links leads to, and whether it says their counts. */
export function LinksSettings({ row, title, change }: Props) {
  const [asked, setAsked] = useState("");
  const options = useAnswer(countsOf([{ field: row.field, mode: row.mode }]))?.facets[row.field]?.options;
  // What is picked is picked out of all values, so there is nothing to set before they are known.
  if (!options) return <p className="text-[13px] text-quiet">Looking at the values …</p>;
  const picked = row.values === "all" ? undefined : new Set(row.values);
  const fitting = options.filter(({ label }) => fitsWords(label, words(asked)));
  const more = fitting.length - most;
  const put = (id: string, label: string, on: boolean) => {
    const values = on ? [...(picked ?? []), id] : [...(picked ?? [])].filter((one) => one !== id);
    change({ ...row, values }, `${on ? "link" : "leave out"} ${label}`);
  };
  return (
    <>
      <PieceLine label="Links">
        <Choice
          label={`Links of ${title}`}
          value={picked ? "picked" : "all"}
          options={[
            { value: "all", label: "all" },
            { value: "picked", label: "picked" },
          ]}
          set={(value) =>
            change({ ...row, values: value === "all" ? "all" : options.map(({ id }) => id) }, `${value} links`)
          }
        />
      </PieceLine>
      <PieceLine label="Counts">
        <input
          type="checkbox"
          role="switch"
          aria-checked={row.counts}
          className="toggle toggle-xs"
          aria-label={`Counts of ${title}`}
          checked={row.counts}
          onChange={(event) =>
            change({ ...row, counts: event.target.checked }, event.target.checked ? "with counts" : "without counts")
          }
        />
      </PieceLine>
      {picked ? (
        <>
          {options.length > most ? (
            <FindField
              label={`Find a value of ${title}`}
              hint="Find"
              value={asked}
              set={setAsked}
              className="input-xs w-40"
            />
          ) : null}
          <ul className="max-h-48 overflow-auto text-[13px]" aria-label={`Values of ${title}`}>
            {fitting.slice(0, most).map(({ id, label }) => (
              <li key={id}>
                <label className="flex min-h-6 items-center gap-2">
                  <input
                    type="checkbox"
                    className="checkbox checkbox-xs"
                    checked={picked.has(id)}
                    onChange={(event) => put(id, label, event.target.checked)}
                  />
                  {label}
                </label>
              </li>
            ))}
          </ul>
          {more > 0 ? (
            <p className="text-[13px] text-quiet">{more.toLocaleString("en")} more; find them by name</p>
          ) : null}
        </>
      ) : null}
    </>
  );
}
