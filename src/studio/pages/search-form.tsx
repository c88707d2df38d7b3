import { useDeferredValue, useState } from "react";
import { kindFacts } from "../../core/catalogue/field-kinds.ts";
import { countsOf } from "../../core/engine/engine.ts";
import type { SearchedField } from "../../core/engine/index/search-schema.ts";
import { weightOf } from "../../core/engine/index/text-index.ts";
import { bestMatch } from "../../core/engine/sort-keys.ts";
import { setSearch } from "../../core/page/edit.ts";
import { FindField } from "../controls/find-field.tsx";
import { useAnswer, useOpenShop, usePages } from "../shell/shop-context.ts";

const weights = [0, 1, 2, 3, 4, 6, 8, 12, 16, 20];

/** The searched fields and their weights, with a trial search. */
export function SearchForm() {
  const { pages, profiles } = useOpenShop();
  const search = usePages((document) => document.search);
  const [asked, setAsked] = useState("");
  const text = useDeferredValue(asked);
  const tried = text.trim() !== "";
  const found = useAnswer({
    ...countsOf([], { text, choices: {} }),
    ...(search ? { searching: search } : {}),
    sort: bestMatch,
    size: tried ? 8 : 0,
    mends: true,
  });
  const fields = profiles
    .map(({ field }) => field)
    .filter((field) => kindFacts(field).words)
    .map((field) => ({ field, weight: weightOf(field, search), own: search?.some((one) => one.field === field.key) }))
    .sort((a, b) => b.weight - a.weight);
  const set = (key: string, name: string, weight: number) => {
    const others = (search ?? []).filter((one) => one.field !== key);
    const next: SearchedField[] = [...others, { field: key, weight }];
    pages.getState().apply(setSearch(next, `Search: weight of ${name} is ${weight}`));
  };
  return (
    <section aria-label="Search" className="grid max-w-4xl grid-cols-[minmax(0,3fr)_minmax(0,2fr)] gap-8">
      <div>
        <h2 className="mb-1 flex items-baseline justify-between text-lg">
          Search
          {search ? (
            <button
              type="button"
              className="link text-[13px] font-normal"
              onClick={() => pages.getState().apply(setSearch(undefined, "Reset the search"))}
            >
              Reset
            </button>
          ) : null}
        </h2>
        <p className="mb-2 text-[13px] text-quiet">
          How much a match in each field counts. Fields set to 0 are not searched.
        </p>
        <ul className="columns-2 gap-6 text-[13px]">
          {fields.map(({ field, weight, own }) => (
            <li key={field.key} className="flex break-inside-avoid items-center gap-2 py-0.5">
              <span className={`min-w-0 flex-1 truncate ${weight === 0 ? "text-quiet" : own ? "font-medium" : ""}`}>
                {field.name}
              </span>
              <select
                className="select select-xs w-16 px-1.5"
                aria-label={`Weight of ${field.name}`}
                value={weight}
                onChange={(event) => set(field.key, field.name, Number(event.target.value))}
              >
                {[...new Set([...weights, weight])].map((one) => (
                  <option key={one} value={one}>
                    {one === 0 ? "not" : one}
                  </option>
                ))}
              </select>
            </li>
          ))}
        </ul>
      </div>
      <div>
        <FindField label="Try a search" value={asked} set={setAsked} className="input-sm mb-2 w-full" />
        {tried && found ? (
          <>
            <p role="status" className="mb-1 text-[13px] text-quiet">
              {found.total.toLocaleString("en")} found
              {found.near?.length ? `. Near: ${found.near.join(", ")}` : ""}
            </p>
            <ol className="list-decimal ps-5 text-[13px]" aria-label="Found, best first">
              {found.products.map(({ id, title }) => (
                <li key={id}>{title}</li>
              ))}
            </ol>
          </>
        ) : null}
      </div>
    </section>
  );
}
