import { ArrowDown, ArrowUp, ClipboardPaste, Download, Images, ImageUp, ListOrdered } from "lucide-react";
import { useRef, useState } from "react";
import { toast } from "sonner";
import type { Field } from "../../core/catalogue/field.ts";
import { identity } from "../../core/catalogue/identity.ts";
import { orderOf, type Source, type SwatchDocument, sources } from "../../core/swatch/document.ts";
import { type SwatchEdit, setMany, setOrder, setPhotos, setPicture } from "../../core/swatch/edit.ts";
import { type SwatchOrder, swatchOrders } from "../../core/swatch/measure.ts";
import { shopPath } from "../api.ts";
import { Progress } from "../import/drop-zone.tsx";
import { Popover } from "../shell/popover.tsx";
import { useOpenShop } from "../shell/shop-context.ts";
import { type Looking, lookAtPictures } from "./look-at-pictures.ts";
import type { SwatchWorker } from "./use-book.ts";
import type { BookValue } from "./value-row.tsx";

interface Props {
  field: Field;
  values: readonly BookValue[];
  book: SwatchDocument;
  worker: SwatchWorker;
  apply(edit: SwatchEdit): void;
  upload(file: File): Promise<string>;
  order: SwatchOrder;
  setOrder(order: SwatchOrder): void;
}

/** What can be done for many values at once. */
export function BookTools(props: Props) {
  const { field, values, apply, order, setOrder: sort } = props;
  const [least, setLeast] = useState(80);
  const open = values.filter(({ entry, guess, photos }) => !entry?.colours && !entry?.picture && best({ guess, photos }, least / 100));
  return (
    <div className="flex flex-none flex-wrap items-center gap-2 border-b border-hair px-3 py-2 text-[13px]">
      <h1 className="me-2 text-xl">{field.name}</h1>
      <LookButton {...props} />
      <span className="flex items-center gap-1.5">
        <button
          type="button"
          className="btn btn-sm"
          disabled={open.length === 0}
          onClick={() =>
            apply(
              setMany(
                open.map((value) => ({ value, colours: best(value, least / 100) ?? [] })),
                `${field.name}: take ${open.length} guesses`,
              ),
            )
          }
        >
          Take {open.length} {open.length === 1 ? "guess" : "guesses"}
        </button>
        <label className="flex items-center gap-1 text-quiet">
          from
          <input
            type="number"
            className="input input-xs w-14"
            aria-label="Least confidence in per cent"
            min={0}
            max={100}
            step={5}
            value={least}
            onChange={(event) => setLeast(Number(event.target.value))}
          />
          % on
        </label>
      </span>
      <PasteButton {...props} />
      <ManyPictures {...props} />
      <OrderButton {...props} />
      <label className="ms-auto flex items-center gap-1 text-quiet">
        Sort
        <select className="select select-xs w-24" value={order} onChange={(event) => sort(event.target.value as SwatchOrder)}>
          {swatchOrders.map((one) => (
            <option key={one} value={one}>
              {one}
            </option>
          ))}
        </select>
      </label>
      <Downloads />
    </div>
  );
}

/** The guess that is sure enough: by name, else by pictures. */
function best({ guess, photos }: Pick<BookValue, "guess" | "photos">, least: number): readonly string[] | undefined {
  if (guess && guess.confidence >= least) return guess.colours;
  return photos && photos.agree / photos.of >= least ? photos.colours : undefined;
}

/** Looks at the pictures of all products that state the field; with progress, and to be stopped. */
function LookButton({ field, values, worker, apply }: Props) {
  const { desk } = useOpenShop();
  const [looking, setLooking] = useState<Looking | undefined>(undefined);
  const stopper = useRef<AbortController | undefined>(undefined);
  const start = async () => {
    stopper.current = new AbortController();
    setLooking({ done: 0, of: 0 });
    // A guess by name that is not sure says nothing of how many colours there are.
    const wanted = Object.fromEntries(values.flatMap(({ id, guess }) => (guess && guess.confidence >= 0.7 ? [[id, guess.colours.length]] : [])));
    try {
      const result = await lookAtPictures(desk, worker, field.key, wanted, setLooking, stopper.current.signal);
      if (!result) return;
      const found = Object.keys(result.photos).length;
      apply(setPhotos(field.key, result.photos, `${field.name}: colours from pictures for ${found} values`));
      toast(`Colours for ${found} of ${values.length} values${result.failed > 0 ? `; ${result.failed} pictures could not be read` : ""}.`);
    } catch (error) {
      toast.error((error as Error).message);
    } finally {
      setLooking(undefined);
    }
  };
  if (looking)
    return (
      <Progress words="Looking at pictures" share={looking.of === 0 ? undefined : looking.done / looking.of} stop={() => stopper.current?.abort()} />
    );
  return (
    <button type="button" className="btn btn-sm" onClick={start}>
      <Images size={15} aria-hidden /> Look at the pictures
    </button>
  );
}

/** Takes a list of names with colours: typed, pasted, or a file in one of the open formats. */
function PasteButton({ field, values, worker, apply }: Props) {
  const [text, setText] = useState("");
  const [told, setTold] = useState<string[]>([]);
  const take = async (list: string, close: () => void) => {
    const { lines, problems } = await worker.read(list);
    const byId = new Map(values.map((value) => [value.id, value]));
    const fitting = lines.filter(({ field: of }) => of === undefined || of === field.key || identity(of) === identity(field.name));
    const known = fitting.flatMap(({ name, entry }) => {
      const value = byId.get(identity(name));
      return value && entry.colours ? [{ value, colours: entry.colours }] : [];
    });
    const unknown = fitting.filter(({ name }) => !byId.has(identity(name))).map(({ name }) => name);
    if (known.length > 0) apply(setMany(known, `${field.name}: ${known.length} colours from a list`));
    const faults = [
      ...problems.map(({ row, message }) => `Line ${row}: ${message}`),
      ...(unknown.length > 0
        ? [`No value is called ${unknown.slice(0, 8).join(", ")}${unknown.length > 8 ? ` and ${unknown.length - 8} more` : ""}.`]
        : []),
    ];
    setTold(faults);
    if (faults.length === 0) {
      setText("");
      close();
    }
  };
  return (
    <Popover
      label="Paste a list of colours"
      className="w-96 p-3"
      trigger={(props) => (
        <button type="button" {...props} className="btn btn-sm">
          <ClipboardPaste size={15} aria-hidden /> Paste
        </button>
      )}
    >
      {(close) => (
        <div className="grid gap-2">
          <label className="grid gap-1">
            <span className="text-quiet">One value a line, its colours behind it. CSV and design tokens are taken too.</span>
            <textarea
              className="textarea h-36 w-full font-mono text-[12px]"
              placeholder={"Sage, #9cab86\nSea green / white, seagreen white"}
              value={text}
              onChange={(event) => setText(event.target.value)}
            />
          </label>
          {told.length > 0 ? (
            <ul role="alert" className="max-h-32 overflow-auto text-[12px] text-error">
              {told.map((one) => (
                <li key={one}>{one}</li>
              ))}
            </ul>
          ) : null}
          <div className="flex items-center gap-2">
            <button type="button" className="btn btn-primary btn-sm" disabled={text.trim() === ""} onClick={() => take(text, close)}>
              Take them
            </button>
            <label className="btn btn-sm cursor-pointer has-focus-visible:outline-2">
              From a file
              <input
                type="file"
                className="sr-only"
                aria-label="List of colours"
                accept=".csv,.tsv,.txt,.json"
                onChange={async (event) => {
                  const file = event.target.files?.[0];
                  if (file) await take(await file.text(), close);
                }}
              />
            </label>
          </div>
        </div>
      )}
    </Popover>
  );
}

/** Many pictures at once, matched to values by their file names. */
function ManyPictures({ values, apply, upload }: Props) {
  const bring = async (files: readonly File[]) => {
    const key = (text: string) =>
      identity(text)
        .normalize("NFKD")
        .replace(/[^\p{L}\p{N}]/gu, "");
    const byKey = new Map(values.map((value) => [key(value.label), value]));
    const unmatched: string[] = [];
    let taken = 0;
    for (const file of files) {
      const value = byKey.get(key(file.name.replace(/\.\w+$/, "")));
      if (!value) {
        unmatched.push(file.name);
        continue;
      }
      try {
        apply(setPicture(value, await upload(file)));
        taken++;
      } catch (error) {
        toast.error(`${file.name}: ${(error as Error).message}`);
      }
    }
    toast(`${taken} ${taken === 1 ? "picture" : "pictures"} taken${unmatched.length > 0 ? `; no value is called ${unmatched.join(", ")}` : ""}.`);
  };
  return (
    <label className="btn btn-sm cursor-pointer has-focus-visible:outline-2" title="Matched to values by their file names">
      <ImageUp size={15} aria-hidden /> Pictures
      <input
        type="file"
        multiple
        className="sr-only"
        aria-label="Pictures by file name"
        accept="image/png,image/jpeg,image/webp,image/svg+xml"
        onChange={(event) => bring([...(event.target.files ?? [])])}
      />
    </label>
  );
}

const sourceNames: Record<Source, string> = {
  picture: "Its own picture",
  colour: "Its own colour",
  name: "Guess by its name",
  photos: "Colours from product pictures",
  text: "Its text in a tile",
};

/** What is shown first, and what when that is missing. Nothing behind the text is ever reached. */
function OrderButton({ field, book, apply }: Props) {
  const order = orderOf(book, field.key);
  const all = [...order, ...sources.filter((source) => !order.includes(source))];
  const move = (from: number, to: number) => {
    const next = [...all];
    next.splice(to, 0, ...next.splice(from, 1));
    apply(setOrder(field.key, next, field.name));
  };
  return (
    <Popover
      label="Order of fallback"
      className="w-72 p-2"
      trigger={(props) => (
        <button type="button" {...props} className="btn btn-sm">
          <ListOrdered size={15} aria-hidden /> Fallback
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
                aria-label={`${sourceNames[source]} earlier`}
                onClick={() => move(at, at - 1)}
              >
                <ArrowUp size={13} aria-hidden />
              </button>
              <button
                type="button"
                className="grid size-6 place-items-center disabled:opacity-30"
                disabled={at === all.length - 1}
                aria-label={`${sourceNames[source]} later`}
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
    </span>
  );
}
