import { ArrowDown, ArrowUp, Download, ListOrdered } from "lucide-react";
import { useState } from "react";
import { swatchOrder } from "../../core/swatch/book.ts";
import { type Source, sources } from "../../core/swatch/book-schema.ts";
import { setMany, setOrder } from "../../core/swatch/edit.ts";
import { type SwatchOrder, swatchOrders } from "../../core/swatch/measure.ts";
import { picturesAgainst } from "../../core/swatch/view.ts";
import { shopPath } from "../api.ts";
import { Popover } from "../shell/popover.tsx";
import { useOpenShop } from "../shell/shop-context.ts";
import { SightChoice } from "../shell/sight.tsx";
import { ManyPictures, PasteButton } from "./bring-in.tsx";
import { LookButton } from "./look-button.tsx";
import type { ToolProps } from "./tool-props.ts";
import type { BookValue } from "./value-row.tsx";

/** The actions on many values at once. */
export function BookTools(props: ToolProps) {
  const { field, values, apply, order, setOrder: sort, sight, setSight } = props;
  const [least, setLeast] = useState(80);
  const first = swatchOrder(props.book, field.key).find((source) => source === "name" || source === "photos");
  const open = values.filter(
    ({ entry, guess, photos }) => !entry?.colours && !entry?.picture && best({ guess, photos }, least / 100, first),
  );
  return (
    <div className="flex flex-none flex-wrap items-center gap-2 border-b border-hair px-3 py-2 text-[13px]">
      <div className="flex w-full flex-wrap items-center gap-3">
        <h1 className="flex-1 truncate text-xl">{field.name}</h1>
        <label className="flex items-center gap-1 text-quiet">
          Sort
          <select
            className="select select-xs w-24"
            value={order}
            onChange={(event) => sort(event.target.value as SwatchOrder)}
          >
            {swatchOrders.map((one) => (
              <option key={one} value={one}>
                {one}
              </option>
            ))}
          </select>
        </label>
        <SightChoice sight={sight} set={setSight} />
        <OrderButton {...props} />
        <Downloads />
      </div>
      <LookButton {...props} />
      <span className="me-auto flex items-center gap-1.5">
        <button
          type="button"
          className="btn btn-sm"
          disabled={open.length === 0}
          onClick={() =>
            apply(
              setMany(
                open.map((value) => ({ value, colours: best(value, least / 100, first) ?? [] })),
                `${field.name}: use ${open.length} guesses`,
              ),
            )
          }
        >
          Use {open.length} {open.length === 1 ? "guess" : "guesses"}
        </button>
        <label className="flex items-center gap-1 text-quiet">
          at least
          <input
            type="number"
            className="input input-xs w-14"
            aria-label="Minimum confidence in per cent"
            min={0}
            max={100}
            step={5}
            value={least}
            onChange={(event) => setLeast(Number(event.target.value))}
          />
          % sure
        </label>
      </span>
      <PasteButton {...props} />
      <ManyPictures {...props} />
    </div>
  );
}

/** The confident guess: from the field's first source, otherwise from the other. */
function best(
  { guess, photos }: Pick<BookValue, "guess" | "photos">,
  least: number,
  first: Source | undefined,
): readonly string[] | undefined {
  const believed = guess && !picturesAgainst(guess, photos);
  const byName = believed && guess.confidence >= least ? guess.colours : undefined;
  const byPhotos = photos && photos.agree / photos.of >= least ? photos.colours : undefined;
  return first === "photos" ? (byPhotos ?? byName) : (byName ?? byPhotos);
}

const sourceNames: Record<Source, string> = {
  picture: "Own picture",
  colour: "Own colour",
  name: "Guess from the name",
  photos: "Colours from product pictures",
  text: "Name in a tile",
};

/** Swaps the order of sources. Nothing after the text is ever used. */
function OrderButton({ field, book, apply }: ToolProps) {
  const order = swatchOrder(book, field.key);
  const all = [...order, ...sources.filter((source) => !order.includes(source))];
  const move = (from: number, to: number) => {
    const next = [...all];
    next.splice(to, 0, ...next.splice(from, 1));
    apply(setOrder(field.key, next, field.name));
  };
  return (
    <Popover
      label="Order of colour sources"
      className="w-72 p-2"
      trigger={(props) => (
        <button type="button" {...props} className="btn btn-sm">
          <ListOrdered size={15} aria-hidden /> Colour sources
        </button>
      )}
    >
      {() => (
        <ol>
          {all.map((source, at) => (
            <li key={source} className="flex items-center gap-1 rounded-lg px-2 py-1 hover:bg-sand">
              <span className="w-5 text-quiet tabular-nums">{at + 1}</span>
              <span className="flex-1">{sourceNames[source]}</span>
              <button
                type="button"
                className="grid size-6 place-items-center disabled:opacity-30"
                disabled={at === 0}
                aria-label={`Move ${sourceNames[source]} up`}
                onClick={() => move(at, at - 1)}
              >
                <ArrowUp size={13} aria-hidden />
              </button>
              <button
                type="button"
                className="grid size-6 place-items-center disabled:opacity-30"
                disabled={at === all.length - 1}
                aria-label={`Move ${sourceNames[source]} down`}
                onClick={() => move(at, at + 1)}
              >
                <ArrowDown size={13} aria-hidden />
              </button>
            </li>
          ))}
        </ol>
      )}
    </Popover>
  );
}

function Downloads() {
  const { shop } = useOpenShop();
  const path = `/api${shopPath(shop.slug)}`;
  return (
    <span className="flex items-center gap-1 text-quiet">
      <Download size={14} aria-hidden />
      <a className="link" href={`${path}/swatches.csv`} download>
        CSV
      </a>
      <a className="link" href={`${path}/swatches.tokens.json`} download>
        tokens
      </a>
      <a className="link" href={`${path}/swatches.zip`} download>
        ZIP with pictures
      </a>
    </span>
  );
}
