import { Plus } from "lucide-react";
import { standardSorts } from "../../core/engine/sort-keys.ts";
import type { SortChoice } from "../../core/page/pages-schema.ts";
import { freeId } from "../../core/panel/row-id.ts";
import { LineTools } from "../controls/line-tools.tsx";
import { moved, replaced, withoutEntry } from "../controls/lists.ts";
import { TextControl } from "../controls/text-control.tsx";
import { useOpenShop } from "../shell/shop-context.ts";
import { FormPart } from "./form-line.tsx";
import type { LayoutFormProps } from "./layout-form-props.ts";

const defaultWords = {
  shop: "Shop’s order",
  cheap: "Price, low to high",
  dear: "Price, high to low",
  new: "Newest first",
  rated: "Best rated",
  name: "Name, A to Z",
} as const;

/** The selectable orders: their keys, labels and sequence. */
export function SortForm({ layout, own, set, isSearch }: LayoutFormProps & { isSearch: boolean }) {
  const { profiles } = useOpenShop();
  const { sorts } = layout;
  const put = (next: readonly SortChoice[], words: string) => set({ sorts: [...next] }, words);
  const replace = (at: number, one: SortChoice, words: string) => put(replaced(sorts, at, one), words);
  const start = () =>
    put(
      standardSorts(profiles.map(({ field }) => field)).map(({ sort, goesBy }) => ({
        id: goesBy,
        sort,
        label: defaultWords[goesBy],
      })),
      "custom sort options",
    );
  return (
    <FormPart
      title="Sort options"
      own={own.sorts !== undefined}
      reset={() => set({ sorts: undefined }, "default sort options")}
    >
      {sorts.length === 0 ? (
        <div className="flex items-center gap-3 text-[13px] text-quiet">
          The default options, chosen for this catalogue.
          <button type="button" className="btn btn-xs" onClick={start}>
            Choose
          </button>
        </div>
      ) : (
        <>
          <ol className="flex flex-col gap-1.5" aria-label="Sort options; the first is the default">
            {sorts.map((one, at) => (
              <li key={one.id} className="flex items-center gap-1">
                <span className="min-w-0 flex-1">
                  <TextControl
                    name={`Label of sort option ${at + 1}`}
                    value={one.label}
                    longest={200}
                    set={(label) => replace(at, { ...one, label }, `rename a sort option to “${label}”`)}
                  />
                </span>
                <select
                  className="select select-xs w-28 flex-none px-1.5"
                  aria-label={`Sort option ${at + 1} sorts by`}
                  value={one.sort}
                  onChange={(event) =>
                    replace(at, { ...one, sort: event.target.value }, `${one.label} sorts by a different field`)
                  }
                >
                  <option value={at === 0 ? "" : "shop"}>shop’s order</option>
                  {isSearch ? <option value="best">best match</option> : null}
                  {profiles.flatMap(({ field }) => [
                    <option key={field.key} value={field.key}>
                      {field.name} ↑
                    </option>,
                    <option key={`-${field.key}`} value={`-${field.key}`}>
                      {field.name} ↓
                    </option>,
                  ])}
                </select>
                <LineTools
                  name={one.label}
                  at={at}
                  of={sorts.length}
                  move={(to) => put(moved(sorts, at, to), `move ${one.label}`)}
                  remove={() => put(withoutEntry(sorts, at), `remove the sort option ${one.label}`)}
                />
              </li>
            ))}
          </ol>
          <button
            type="button"
            className="btn btn-xs self-start"
            onClick={() =>
              put(
                [...sorts, { id: freeId(sorts, "order"), sort: "price", label: "New sort option" }],
                "add a sort option",
              )
            }
          >
            <Plus size={13} aria-hidden /> Sort option
          </button>
        </>
      )}
    </FormPart>
  );
}
