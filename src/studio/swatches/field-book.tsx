import { useCallback, useEffect, useMemo, useState } from "react";
import { useStore } from "zustand";
import type { Field } from "../../core/catalogue/field.ts";
import { countsOf } from "../../core/engine/engine.ts";
import { entryOf } from "../../core/swatch/book.ts";
import type { SwatchEdit } from "../../core/swatch/edit.ts";
import { huePlace, lightnessOf, type SwatchOrder, type Vision } from "../../core/swatch/measure.ts";
import type { NameGuess } from "../../core/swatch/name-guess.ts";
import { swatchViewOf } from "../../core/swatch/view.ts";
import { useAnswer, useAsked, useOpenShop } from "../shell/shop-context.ts";
import { sightFilter } from "../shell/sight.tsx";
import { BookTools } from "./book-tools.tsx";
import { MeasurePanel } from "./measure-panel.tsx";
import type { BookStore, SwatchWorker } from "./use-book.ts";
import { useUpload } from "./use-upload.ts";
import { type BookValue, ValueRow } from "./value-row.tsx";

/** Number of pictures of one value shown, and of the field searched. */
const shownPictures = 6;
const searched = 2000;

/** One field of the book: its values in a table, with the measurements beside it. */
export function FieldBook({ field, store, worker }: { field: Field; store: BookStore; worker: SwatchWorker }) {
  const { desk } = useOpenShop();
  const book = useStore(store, (state) => state.document);
  const [order, setOrder] = useState<SwatchOrder>("count");
  const [sight, setSight] = useState<Vision>("usual");
  const values = useValues(field, book, worker);
  const upload = useUpload(worker);
  const apply = useCallback((edit: SwatchEdit) => store.getState().apply(edit), [store]);
  const pictures = useCallback(
    async (id: string) =>
      (await desk.pictures(field.key, searched))
        .filter(({ values: stated }) => stated.includes(id))
        .slice(0, shownPictures)
        .map(({ address }) => address),
    [desk, field.key],
  );
  const sorted = useMemo(() => (values ? values.toSorted(compare[order]) : []), [values, order]);
  if (!values) return <p className="p-6 text-quiet">Loading the values…</p>;
  return (
    <>
      <section aria-label={`Swatches of ${field.name}`} className="flex min-w-0 flex-1 flex-col max-md:min-h-[60vh]">
        <BookTools
          field={field}
          values={values}
          book={book}
          worker={worker}
          apply={apply}
          upload={upload}
          order={order}
          setOrder={setOrder}
          sight={sight}
          setSight={setSight}
        />
        <div
          // biome-ignore lint/a11y/noNoninteractiveTabindex: a table that scrolls must be reachable by the keyboard
          tabIndex={0}
          role="region"
          aria-label="Values"
          className="relative min-h-0 flex-1 overflow-auto"
          style={sightFilter(sight)}
        >
          <table className="w-full text-[13px]">
            <thead className="sticky top-0 z-10 bg-sand text-start">
              <tr>
                <th className="py-1.5 ps-3 text-start font-semibold">Value</th>
                <th className="px-2 text-start font-semibold">Guess from the name</th>
                <th className="px-2 text-start font-semibold">From pictures</th>
                <th className="px-2 text-start font-semibold">Own colours</th>
                <th className="px-2 text-start font-semibold">Picture</th>
              </tr>
            </thead>
            <tbody>
              {sorted.map((value) => (
                <ValueRow key={value.id} value={value} apply={apply} upload={upload} pictures={pictures} />
              ))}
            </tbody>
          </table>
        </div>
      </section>
      <MeasurePanel values={values} limit={book.limit} worker={worker} apply={apply} />
    </>
  );
}

/** The field's values with their entries and guesses. */
function useValues(
  { key }: Field,
  book: ReturnType<BookStore["getState"]>["document"],
  worker: SwatchWorker,
): BookValue[] | undefined {
  const answer = useAnswer(countsOf([{ field: key, mode: "any" }]));
  const found = answer?.facets[key];
  const labels = useMemo(() => found?.options.map(({ label }) => label), [found]);
  const guesses = useAsked(async () => (labels ? worker.guess(labels) : undefined), JSON.stringify(labels));
  const [known, setKnown] = useState<{ labels: readonly string[]; guesses: (NameGuess | undefined)[] } | undefined>(
    undefined,
  );
  useEffect(() => {
    if (labels && guesses && labels.length === guesses.length) setKnown({ labels, guesses });
  }, [labels, guesses]);
  return useMemo(() => {
    if (!found || !known || known.labels.length !== found.options.length) return undefined;
    return found.options.map(({ id, label }, o) => ({
      field: key,
      id,
      label,
      products: found.counts.steady[o] ?? 0,
      view: swatchViewOf(book, key, id, known.guesses[o]),
      entry: entryOf(book, key, id),
      differs: book.own[key] !== undefined && Object.hasOwn(book.own[key], id),
      guess: known.guesses[o],
      photos: book.photos[key]?.[id],
    }));
  }, [found, known, book, key]);
}

const first = (value: BookValue): string | undefined => value.view.colours?.[0];
const eye = (place: (colour: string) => number) => (a: BookValue, b: BookValue) => {
  const [x, y] = [first(a), first(b)];
  if (!x || !y) return Number(!x) - Number(!y);
  return place(x) - place(y) || lightnessOf(y) - lightnessOf(x);
};
const compare: Record<SwatchOrder, (a: BookValue, b: BookValue) => number> = {
  count: (a, b) => b.products - a.products || a.label.localeCompare(b.label),
  name: (a, b) => a.label.localeCompare(b.label),
  hue: eye(huePlace),
  lightness: eye((colour) => -lightnessOf(colour)),
};
