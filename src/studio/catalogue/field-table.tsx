import { ChevronRight } from "lucide-react";
import { Fragment, useEffect, useMemo, useRef, useState } from "react";
import { useSearchParams } from "react-router";
import { fieldKindWords } from "../../core/catalogue/field-kind-words.ts";
import { displays } from "../../core/displays/displays.ts";
import { suggestFacet } from "../../core/panel/suggest/suggest.ts";
import type { FieldProfile } from "../../core/profile/profile.ts";
import { FindField } from "../controls/find-field.tsx";
import { Opens } from "../numbers/opens.tsx";
import { findByWords } from "../shell/find-actions.ts";
import { percent } from "../shell/percent.ts";
import { FieldDetail } from "./field-detail.tsx";
import { productsStating } from "./opened.ts";

const columns = 7;
/** Number of fields from which the table has a search. */
const readAtOnce = 30;

/** Fields with reach, values and suitable displays; a row opens its details. */
export function FieldTable({ profiles }: { profiles: readonly FieldProfile[] }) {
  const [asked] = useSearchParams();
  const [open, setOpen] = useState<string | undefined>(asked.get("field") ?? undefined);
  // Suggested facets come first.
  const inOrder = useMemo(() => {
    const isWorth = (profile: FieldProfile) => suggestFacet(profile).worth;
    return [...profiles.filter(isWorth), ...profiles.filter((profile) => !isWorth(profile))];
  }, [profiles]);
  const [words, setWords] = useState("");
  const found = useMemo(() => findByWords(inOrder, ({ field }) => field.name, words), [inOrder, words]);
  const table = useRef<HTMLTableElement>(null);
  useEffect(() => {
    table.current?.querySelector('[aria-expanded="true"]')?.scrollIntoView({ block: "center" });
  }, []);
  return (
    <>
      {profiles.length > readAtOnce ? (
        <FindField label="Search the fields" value={words} set={setWords} className="input-sm mb-3 w-64" />
      ) : null}
      <div className="overflow-x-auto rounded-box border border-hair">
        <table ref={table} className="table table-sm">
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
            {found.map((profile) => {
              const { key } = profile.field;
              return (
                <Fragment key={key}>
                  <FieldRow
                    profile={profile}
                    open={open === key}
                    flip={() => setOpen(open === key ? undefined : key)}
                  />
                  {open === key ? (
                    <tr>
                      <td colSpan={columns} className="p-0">
                        <FieldDetail profile={profile} />
                      </td>
                    </tr>
                  ) : null}
                </Fragment>
              );
            })}
          </tbody>
        </table>
      </div>
    </>
  );
}

function FieldRow({ profile, open, flip }: { profile: FieldProfile; open: boolean; flip(): void }) {
  const { field, reach, outOf, options, samples, clashes, level } = profile;
  const share = outOf === 0 ? 0 : (reach / outOf) * 100;
  const suggestion = suggestFacet(profile);
  return (
    <tr className={open ? "bg-plum-soft/60" : "hover:bg-sand/50"}>
      <th scope="row" className="font-medium">
        <button
          type="button"
          className="-ms-1 flex min-h-7 items-center gap-1 rounded-md pe-2 text-start"
          aria-expanded={open}
          onClick={flip}
        >
          <ChevronRight size={15} aria-hidden className={`flex-none text-quiet ${open ? "rotate-90" : ""}`} />
          {field.name}
        </button>
      </th>
      <td className="whitespace-nowrap">{fieldKindWords[field.kind].label}</td>
      <td>{level}</td>
      <td>
        <span className="flex items-center gap-2">
          <span className="h-1.5 w-20 overflow-hidden rounded-full bg-base-300" aria-hidden>
            <span className={`block h-full ${share < 50 ? "bg-error" : "bg-success"}`} style={{ width: `${share}%` }} />
          </span>
          <Opens number={() => productsStating(field, reach, outOf)}>{percent(reach, outOf)}</Opens>
        </span>
      </td>
      <td className="text-end">{options.toLocaleString("en")}</td>
      <td className="max-w-72">
        <span className="block truncate">{samples.join(", ")}</span>
        {clashes > 0 ? (
          <span className="text-[12px] text-quiet">
            {clashes} {clashes === 1 ? "spelling" : "spellings"} counted as one: only case or spaces differ
          </span>
        ) : null}
      </td>
      <td className="text-quiet">
        {suggestion.worth ? `${displays[suggestion.display].label}: ${suggestion.reason}` : `No: ${suggestion.reason}`}
      </td>
    </tr>
  );
}
