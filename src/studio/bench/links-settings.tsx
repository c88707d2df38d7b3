import { useState } from "react";
import { parentOf } from "../../core/catalogue/path.ts";
import { countsOf } from "../../core/engine/engine.ts";
import { matchesWords, words } from "../../core/engine/index/words.ts";
import { hasLink } from "../../core/panel/links.ts";
import type { LinksPiece } from "../../core/panel/pieces.ts";
import { FindField } from "../controls/find-field.tsx";
import { useAnswer } from "../shell/shop-context.ts";
import { PieceLine } from "./piece-line.tsx";

interface Props {
  row: LinksPiece;
  title: string;
  change(row: LinksPiece, what: string): void;
}

/** Number of values listed at once. */
const most = 100;

/** The values that a piece of links leads to, and whether it shows their counts. */
export function LinksSettings({ row, title, change }: Props) {
  const [asked, setAsked] = useState("");
  const options = useAnswer(countsOf([{ field: row.field, mode: row.mode }]))?.facets[row.field]?.options;
  // Picking needs the full list of values, so nothing is shown until it has loaded.
  if (!options) return <p className="text-[13px] text-quiet">Loading the values…</p>;
  const { values: which } = row;
  const now =
    which === "all" ? "all" : Array.isArray(which) ? "picked" : "below" in which ? `below ${which.below}` : "except";
  const picked = Array.isArray(which)
    ? which
    : now === "except" && which !== "all" && "except" in which
      ? which.except
      : undefined;
  const fitting = options.filter(({ label }) => matchesWords(label, words(asked)));
  const more = fitting.length - most;
  // A tick means linked: with all but some, every value that is not listed.
  const put = (id: string, label: string, on: boolean) => {
    const named = on === (now === "picked");
    const next = named ? [...(picked ?? []), id] : (picked ?? []).filter((one) => one !== id);
    change({ ...row, values: now === "picked" ? next : { except: next } }, `${on ? "link" : "leave out"} ${label}`);
  };
  const turnTo = (value: string) => {
    const values =
      value === "all"
        ? "all"
        : value === "picked"
          ? options.filter(({ id }) => hasLink(row, id)).map(({ id }) => id)
          : value === "except"
            ? { except: [] }
            : { below: value.slice("below ".length) };
    change({ ...row, values }, `which links`);
  };
  return (
    <>
      <PieceLine label="Links">
        <select
          className="select select-xs w-full"
          aria-label={`Links of ${title}`}
          value={now}
          onChange={(event) => turnTo(event.target.value)}
        >
          <option value="all">all</option>
          <option value="picked">only picked</option>
          <option value="except">all but some</option>
          {row.mode === "tree" ? <option value="below ">the top level only</option> : null}
          {row.mode === "tree"
            ? options
                .filter(({ id }) => options.some((one) => parentOf(one.id) === id))
                .map(({ id, label }) => (
                  <option key={id} value={`below ${id}`}>
                    directly below {label}
                  </option>
                ))
            : null}
        </select>
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
                    checked={hasLink(row, id)}
                    onChange={(event) => put(id, label, event.target.checked)}
                  />
                  {label}
                </label>
              </li>
            ))}
          </ul>
          {more > 0 ? (
            <p className="text-[13px] text-quiet">{more.toLocaleString("en")} more; search to find them</p>
          ) : null}
        </>
      ) : null}
    </>
  );
}
