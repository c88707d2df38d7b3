import { useId } from "react";
import type { Mode } from "../../core/match/selection.ts";
import { bands, resolve } from "../../core/panel/bands.ts";
import { type FacetRow, facetDefaults } from "../../core/panel/document.ts";
import { type FacetSettings, setFacet } from "../../core/panel/edit.ts";
import { displays } from "../../storefront/displays/index.ts";
import { useAsked, useOpenShop } from "../shell/shop-context.ts";
import { useBench } from "./bench-context.ts";

/** A facet's settings, unfolded under its row. */
export function RowSettings({ row, title }: { row: FacetRow; title: string }) {
  const store = useBench().panel;
  const { desk } = useOpenShop();
  const set = (settings: Partial<FacetSettings>, words: string) => store.getState().apply(setFacet(row.id, settings, `${title}: ${words}`));
  const discrete = row.mode !== "range" && row.mode !== "tree";
  const example = useAsked(async () => (discrete ? desk.modeExample(row) : undefined), `${discrete} ${row.field}`);
  const carried = (mode: Mode) => bands.every((band) => displays[resolve(row.display, band)].modes.includes(mode));

  return (
    <div className="grid gap-2 border-t border-hair/70 px-9 py-2.5">
      {example ? (
        <>
          <Choice
            label="A choice means"
            value={row.mode as "any" | "all" | "one"}
            fallback={facetDefaults.mode}
            options={[
              { value: "any", label: "any of", number: example.any },
              { value: "all", label: "all of", number: example.all },
              {
                value: "one",
                label: "only one",
                number: example.one,
                off: carried("one") ? undefined : "A display of this facet lets several be chosen.",
              },
            ]}
            set={(mode) => set({ mode }, { any: "any of", all: "all of", one: "only one" }[mode])}
          />
          <p className="-mt-1 ps-[112px] text-[12px] text-quiet">
            Products for {example.options[0]} and {example.options[1]} chosen together
          </p>
        </>
      ) : null}
      <Choice
        label="Starts"
        value={row.start}
        fallback={facetDefaults.start}
        options={[
          { value: "open", label: "open" },
          { value: "folded", label: "folded" },
          { value: "fixed", label: "cannot fold" },
        ]}
        set={(start) => set({ start }, { open: "starts open", folded: "starts folded", fixed: "cannot be folded" }[start])}
      />
      {row.mode === "range" ? null : (
        <>
          <Choice
            label="Counts"
            value={row.counting}
            fallback={facetDefaults.counting}
            options={[
              { value: "none", label: "none" },
              { value: "steady", label: "steady" },
              { value: "live", label: "live" },
            ]}
            set={(counting) => set({ counting }, `${counting} counts`)}
          />
          <Choice
            label="Leads nowhere"
            value={row.deadEnd}
            fallback={facetDefaults.deadEnd}
            options={[
              { value: "keep", label: "keep" },
              { value: "fade", label: "fade" },
              { value: "drop", label: "drop" },
            ]}
            set={(deadEnd) => set({ deadEnd }, `${deadEnd} options that lead nowhere`)}
          />
          <Choice
            label="Order"
            value={row.order}
            fallback={facetDefaults.order}
            options={[
              { value: "count", label: "by count" },
              { value: "name", label: "by name" },
              { value: "natural", label: "natural" },
            ]}
            set={(order) => set({ order }, `order ${order === "natural" ? "natural" : `by ${order}`}`)}
          />
        </>
      )}
    </div>
  );
}

interface ChoiceProps<T extends string> {
  label: string;
  value: T;
  /** What it is until it is changed; anything else is marked. */
  fallback: T;
  options: { value: T; label: string; number?: number; off?: string }[];
  set(value: T): void;
}

/** One of a few, side by side. The browser's own radio buttons bring the keyboard's ways. */
function Choice<T extends string>({ label, value, fallback, options, set }: ChoiceProps<T>) {
  const name = useId();
  return (
    <div role="radiogroup" aria-label={label} className="flex items-center gap-2">
      <span className="w-26 flex-none text-[13px] text-quiet">
        {label}
        {value === fallback ? null : <span className="ms-1 inline-block size-1.5 rounded-full bg-accent align-middle" title="Not at its default" />}
      </span>
      <div className="flex flex-1 overflow-hidden rounded-lg border border-hair bg-base-100">
        {options.map((option) => (
          <label
            key={option.value}
            title={option.off}
            className={`flex flex-auto items-center justify-center gap-1.5 border-s border-hair px-2 py-1 text-[13px] first:border-s-0 has-focus-visible:outline-2 has-focus-visible:-outline-offset-2 has-focus-visible:outline-[#b4561b] ${option.value === value ? "bg-primary text-primary-content" : option.off ? "text-base-content/45" : "cursor-pointer hover:bg-sand"}`}
          >
            <input
              type="radio"
              className="sr-only"
              name={name}
              checked={option.value === value}
              disabled={option.off !== undefined}
              onChange={() => set(option.value)}
            />
            {option.label}
            {option.number === undefined ? null : <span className="text-[12px] opacity-75 tabular-nums">{option.number}</span>}
          </label>
        ))}
      </div>
    </div>
  );
}
