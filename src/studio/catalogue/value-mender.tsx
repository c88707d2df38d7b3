import { useState } from "react";
import { matchesWords, words } from "../../core/engine/index/words.ts";
import type { FieldDetail } from "../../core/profile/field-detail.ts";
import { FindField } from "../controls/find-field.tsx";
import { LabelField } from "../shell/label-field.tsx";
import type { Mender } from "./use-mender.ts";

const shown = 100;

/** A field's values, to rename or split in place, or merge. */
export function ValueMender({ values, mender }: { values: FieldDetail["values"]; mender: Mender }) {
  const [asked, setAsked] = useState("");
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const fitting = values.filter(({ label }) => matchesWords(label, words(asked)));
  // A value removed by a correction can no longer be merged.
  const merging = values.filter(({ label }) => chosen.includes(label));
  const flip = (label: string) =>
    setChosen(chosen.includes(label) ? chosen.filter((one) => one !== label) : [...chosen, label]);
  return (
    <div>
      <div className="mb-2 flex items-center gap-2">
        <FindField label="Find a value" value={asked} set={setAsked} className="input-sm w-44" />
        <button
          type="button"
          className="btn btn-sm"
          disabled={merging.length < 2}
          onClick={() => {
            const [into, ...others] = merging.map(({ label }) => label);
            if (into !== undefined) mender.merge(others, into);
            setChosen([]);
          }}
        >
          {merging.length < 2 ? "Select two to merge" : `Merge ${merging.length} into “${merging[0]?.label}”`}
        </button>
        <button
          type="button"
          className="btn btn-sm"
          disabled={merging.length === 0}
          onClick={() => {
            mender.leaveOut(merging.map(({ label }) => label));
            setChosen([]);
          }}
        >
          Leave out
        </button>
      </div>
      <ul className="max-h-64 overflow-auto" aria-label="Values">
        {fitting.slice(0, shown).map(({ label, products }) => (
          <li key={label} className="flex items-center gap-2 py-0.5 text-[13px]">
            <input
              type="checkbox"
              className="checkbox checkbox-xs"
              aria-label={`Choose ${label}`}
              checked={chosen.includes(label)}
              onChange={() => flip(label)}
            />
            <span className="min-w-0 flex-1 truncate">
              <LabelField
                whilePaused={false}
                value={label}
                label={`Rename ${label}`}
                save={(text) => mender.rename(label, text)}
              />
            </span>
            <span className="text-quiet tabular-nums">{products.toLocaleString("en")}</span>
          </li>
        ))}
        {fitting.length > shown ? (
          <li className="py-1 text-[13px] text-quiet">
            and {(fitting.length - shown).toLocaleString("en")} more; search to find them
          </li>
        ) : null}
      </ul>
      <p className="mt-1 text-[13px] text-quiet">Click a value to rename it. A | in the new name splits it in two.</p>
    </div>
  );
}
