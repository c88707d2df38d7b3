import {
  type ListingForm as Form,
  listForms,
  type MoreWay,
  moreWays,
  type Ratio,
  ratios,
} from "../../core/page/listing-choices.ts";
import { type Band, bands, resolve, withBand } from "../../core/settings/band.ts";
import { Choice } from "../controls/choice.tsx";
import { FormLine } from "./form-line.tsx";
import type { LayoutFormProps } from "./layout-form-props.ts";

const formNames: Record<Form, string> = { grid: "grid", list: "list", table: "table" };
const moreNames: Record<MoreWay, string> = { pages: "pages", button: "button", scroll: "scrolling" };
const ratioNames: Record<Ratio, string> = { square: "square", wide: "4 : 3", tall: "3 : 4" };
const optionsOf = <T extends string>(values: readonly T[], names: Record<T, string>) =>
  values.map((value) => ({ value, label: names[value] }));

/** How products are listed on each band, how many at once, and how to show more. */
export function ListForm({ layout, own, set, isArticle }: LayoutFormProps & { isArticle: boolean }) {
  const byBand = (label: string, draw: (band: Band) => React.ReactNode, isOwn: boolean, reset: () => void) => (
    <FormLine label={label} own={isOwn} reset={reset}>
      {bands.map((band) => (
        <span key={band} className="flex min-w-0 flex-1 flex-col text-[13px] text-quiet">
          {band}
          {draw(band)}
        </span>
      ))}
    </FormLine>
  );
  return (
    <section className="flex flex-col gap-2.5" aria-label="How products are listed">
      {isArticle ? (
        <FormLine
          label="Products"
          own={own.listing !== undefined}
          reset={() => set({ listing: undefined }, "reset the product list")}
        >
          <Choice
            label="Products below the text"
            value={layout.listing ? "listed" : "none"}
            options={[
              { value: "none", label: "none" },
              { value: "listed", label: "below the text" },
            ]}
            set={(value) => set({ listing: value === "listed" }, value === "listed" ? "list products" : "no products")}
          />
        </FormLine>
      ) : null}
      {byBand(
        "Shown as",
        (band) => (
          <select
            className="select select-xs w-full min-w-0 px-1.5"
            aria-label={`Products on ${band}`}
            value={resolve(layout.form, band)}
            onChange={(event) => {
              const form = listForms.find((one) => one === event.target.value) ?? "grid";
              set({ form: withBand(layout.form, band, form) }, `${formNames[form]} on ${band}`);
            }}
          >
            {listForms.map((form) => (
              <option key={form} value={form}>
                {formNames[form]}
              </option>
            ))}
          </select>
        ),
        own.form !== undefined,
        () => set({ form: undefined }, "reset how products are shown"),
      )}
      {byBand(
        "Grid columns",
        (band) => (
          <select
            className="select select-xs w-full min-w-0 px-1.5"
            aria-label={`Columns of the grid on ${band}`}
            value={resolve(layout.columns, band)}
            onChange={(event) => {
              const columns = Number(event.target.value);
              const words = `${columns === 0 ? "as many columns as fit" : `${columns} columns`} on ${band}`;
              set({ columns: withBand(layout.columns, band, columns) }, words);
            }}
          >
            {[0, 1, 2, 3, 4, 5, 6, 7, 8].map((n) => (
              <option key={n} value={n}>
                {n === 0 ? "fit" : n}
              </option>
            ))}
          </select>
        ),
        own.columns !== undefined,
        () => set({ columns: undefined }, "reset the columns"),
      )}
      <FormLine
        label="Load more with"
        own={own.more !== undefined}
        reset={() => set({ more: undefined }, "reset how more is loaded")}
      >
        <Choice
          label="How more is shown"
          value={layout.more}
          options={optionsOf(moreWays, moreNames)}
          set={(more) => set({ more }, `more by ${moreNames[more]}`)}
        />
      </FormLine>
      <FormLine
        label="Products at a time"
        own={own.size !== undefined}
        reset={() => set({ size: undefined }, "reset the page size")}
      >
        <input
          type="number"
          className="input input-xs w-20"
          aria-label="Products at a time"
          min={1}
          max={200}
          key={layout.size}
          defaultValue={layout.size}
          onBlur={(event) => {
            const size = Math.round(Math.max(1, Math.min(200, Number(event.target.value) || layout.size)));
            if (size !== layout.size) set({ size }, `${size} products at a time`);
          }}
        />
        <span className="text-quiet">products</span>
      </FormLine>
      <FormLine
        label="Pictures"
        own={own.ratio !== undefined}
        reset={() => set({ ratio: undefined }, "reset the pictures")}
      >
        <Choice
          label="Shape of pictures"
          value={layout.ratio}
          options={optionsOf(Object.keys(ratios) as Ratio[], ratioNames)}
          set={(ratio) => set({ ratio }, `pictures ${ratioNames[ratio]}`)}
        />
      </FormLine>
      <FormLine
        label="Picture width"
        own={own.picture !== undefined}
        reset={() => set({ picture: undefined }, "reset the picture width")}
      >
        <input
          type="range"
          className="range range-xs"
          aria-label="Width of pictures in lists and tables"
          min={24}
          max={240}
          step={4}
          value={layout.picture}
          onChange={(event) => set({ picture: Number(event.target.value) }, "picture width")}
        />
        <span className="w-12 flex-none text-end tabular-nums">{layout.picture} px</span>
      </FormLine>
    </section>
  );
}
