import { useState } from "react";
import { type FieldRole, isFacetable } from "../../core/catalogue/field.ts";
import { isDay, isNested, isNumeric } from "../../core/catalogue/field-kinds.ts";
import type { Answer } from "../../core/engine/answer.ts";
import type { Facet, Selection } from "../../core/engine/question.ts";
import { isRange, rangeOf, toggle, withChoice } from "../../core/engine/selection.ts";
import type { FieldProfile } from "../../core/profile/profile.ts";
import { formatterOf } from "../../storefront/panel/format.ts";
import { useOpenShop } from "../shell/shop-context.ts";

const shown = 12;

/** A field as a facet for filtering a table. */
export const tableFacet = ({ field }: FieldProfile): Facet => ({
  field: field.key,
  mode: isNumeric(field) ? "range" : isNested(field) ? "tree" : "any",
});

interface Props {
  /** Keys of the expanded fields. */
  open: readonly string[];
  setOpen(open: string[]): void;
  answer: Answer | undefined;
  selection: Selection;
  select(selection: Selection): void;
  /** A field to leave out. */
  without?: FieldRole;
}

/** Every facetable field, collapsed; expanded it shows its values with live counts. */
export function FacetFilter({ open, setOpen, answer, selection, select, without }: Props) {
  const { profiles } = useOpenShop();
  return (
    <nav aria-label="Narrow down" className="w-56 flex-none overflow-auto rounded-box border border-hair">
      {profiles
        .filter(({ field, options }) => isFacetable(field) && field.role !== without && options > 1)
        .map((profile) => {
          const { key, name } = profile.field;
          const isOpen = open.includes(key);
          return (
            <section key={key} className="border-b border-hair last:border-0">
              <button
                type="button"
                aria-expanded={isOpen}
                className="flex min-h-8 w-full items-center justify-between gap-2 px-3 py-1 text-start text-[13px] font-medium hover:bg-sand"
                onClick={() => setOpen(isOpen ? open.filter((one) => one !== key) : [...open, key])}
              >
                <span className="truncate">{name}</span>
                {selection.choices[key] ? (
                  <span className="size-2 rounded-full bg-accent" title="Something is chosen" />
                ) : null}
              </button>
              {isOpen ? (
                isNumeric(profile.field) ? (
                  <RangeChoice profile={profile} selection={selection} select={select} />
                ) : (
                  <Values profile={profile} answer={answer} selection={selection} select={select} />
                )
              ) : null}
            </section>
          );
        })}
    </nav>
  );
}

interface ChoiceProps extends Pick<Props, "selection" | "select"> {
  profile: FieldProfile;
}

function Values({ profile, answer, selection, select }: ChoiceProps & Pick<Props, "answer">) {
  const [all, setAll] = useState(false);
  const { key } = profile.field;
  const found = answer?.facets[key];
  const choice = selection.choices[key];
  const chosen = choice && !isRange(choice) ? choice.options : [];
  const options = (found?.options ?? [])
    .map((option, at) => ({ ...option, count: found?.counts.live[at] ?? 0 }))
    .sort((a, b) => b.count - a.count || a.label.localeCompare(b.label));
  const listed = all ? options.slice(0, 300) : options.filter(({ id }, at) => at < shown || chosen.includes(id));
  return (
    <ul className="px-3 pb-2 text-[13px]" aria-label={profile.field.name}>
      {listed.map(({ id, label, count }) => (
        <li key={id}>
          <label className="flex min-h-6 cursor-pointer items-center gap-2">
            <input
              type="checkbox"
              className="checkbox checkbox-xs"
              checked={chosen.includes(id)}
              onChange={() => select(toggle(selection, tableFacet(profile), id))}
            />
            <span className="min-w-0 flex-1 truncate" title={label}>
              {label}
            </span>
            <span className="text-quiet tabular-nums">{count.toLocaleString("en")}</span>
          </label>
        </li>
      ))}
      {options.length > shown ? (
        <li>
          <button type="button" className="link" onClick={() => setAll(!all)}>
            {all ? "Show fewer" : `Show all ${options.length.toLocaleString("en")}`}
          </button>
        </li>
      ) : null}
    </ul>
  );
}

function RangeChoice({ profile: { field, min, max }, selection, select }: ChoiceProps) {
  const { shop } = useOpenShop();
  const format = formatterOf(field, shop.currency);
  const chosen = rangeOf(selection.choices[field.key]);
  const days = isDay(field);
  const set = (end: "min" | "max", text: string) => {
    const value =
      text === "" ? undefined : days ? Math.round(Date.parse(`${text}T00:00:00Z`) / 86_400_000) : Number(text);
    select(withChoice(selection, field.key, { ...chosen, [end]: Number.isFinite(value) ? value : undefined }));
  };
  return (
    <div className="px-3 pb-2">
      <div className="flex items-center gap-1.5">
        {(["min", "max"] as const).map((end) => (
          <input
            key={end}
            type={days ? "date" : "number"}
            step="any"
            className="input input-xs w-full min-w-0"
            aria-label={`${field.name} ${end === "min" ? "from" : "to"}`}
            placeholder={end === "min" ? "from" : "to"}
            onChange={(event) => set(end, event.target.value)}
          />
        ))}
      </div>
      {min === null || max === null ? null : (
        <p className="mt-1 text-[13px] text-quiet">
          {format(min)} to {format(max)}
        </p>
      )}
    </div>
  );
}
