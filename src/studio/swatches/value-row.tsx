import { ImageUp, Link2, Unlink2, X } from "lucide-react";
import { memo } from "react";
import { toast } from "sonner";
import type { PhotoGuess, Source, SwatchEntry } from "../../core/swatch/book-schema.ts";
import {
  type SwatchEdit,
  setAlt,
  setColours,
  setDrawing,
  setPicture,
  setShared,
  type ValueName,
} from "../../core/swatch/edit.ts";
import type { NameGuess } from "../../core/swatch/name-guess.ts";
import type { SwatchView } from "../../core/swatch/view.ts";
import { percent } from "../shell/percent.ts";
import { ColourField } from "./colour-field.tsx";
import { SwatchDot } from "./swatch-dot.tsx";

export interface BookValue extends ValueName {
  products: number;
  view: SwatchView & { source: Source };
  entry: SwatchEntry | undefined;
  /** It has its own entry in this field. */
  differs: boolean;
  guess: NameGuess | undefined;
  photos: PhotoGuess | undefined;
}

interface Props {
  value: BookValue;
  apply(edit: SwatchEdit): void;
  upload(file: File): Promise<string>;
  pictures(id: string): Promise<string[]>;
}

const from: Record<Source, string> = {
  picture: "own picture",
  colour: "own colour",
  name: "guessed from the name",
  photos: "from pictures",
  text: "no swatch: text",
};

/** One value: its swatch, the guesses from its name and pictures, and its entry. */
export const ValueRow = memo(function ValueRow({ value, apply, upload, pictures }: Props) {
  const { id, label, products, view, entry, guess, photos, differs } = value;
  const colours = entry?.colours ?? [];
  const [drawing, other] =
    entry?.drawing === "stripes" ? (["stripes", "sectors"] as const) : (["sectors", "stripes"] as const);
  const bring = async (file: File | undefined) => {
    if (!file) return;
    try {
      apply(setPicture(value, await upload(file)));
    } catch (error) {
      toast.error(`${file.name}: ${(error as Error).message}`);
    }
  };
  return (
    <tr className="border-b border-hair align-middle [content-visibility:auto] hover:bg-sand/40">
      <th scope="row" className="py-1.5 ps-3 text-start font-normal">
        <span className="flex items-center gap-2.5">
          <SwatchDot view={view} size={34} />
          <span className="min-w-0">
            <span className="block truncate font-medium">{label}</span>
            <span className={`text-[12px] ${view.source === "text" ? "text-error" : "text-quiet"}`}>
              {from[view.source]}, {products.toLocaleString("en")} {products === 1 ? "product" : "products"}
            </span>
          </span>
        </span>
      </th>
      <td className="px-2">
        {guess ? (
          <Guess
            colours={guess.colours}
            words={`${Math.round(guess.confidence * 100)}%`}
            title={guess.reason}
            label={`Use the guess from the name for ${label}`}
            taken={same(colours, guess.colours)}
            take={() => apply(setColours(value, guess.colours))}
          />
        ) : (
          <span className="text-[12px] text-quiet">no guess</span>
        )}
      </td>
      <td className="px-2">
        {photos ? (
          <Guess
            colours={photos.colours}
            words={`${photos.agree} of ${photos.of}`}
            title={`${percent(photos.agree, photos.of)} of the pictures agree`}
            label={`Use the guess from pictures for ${label}`}
            taken={same(colours, photos.colours)}
            take={() => apply(setColours(value, photos.colours))}
          />
        ) : (
          <span className="text-[12px] text-quiet">–</span>
        )}
      </td>
      <td className="px-2">
        <span className="flex items-center gap-1.5">
          <ColourField
            label={label}
            colours={colours}
            pictures={() => pictures(id)}
            set={(next) => apply(setColours(value, next))}
          />
          {colours.length > 1 ? (
            <button
              type="button"
              className="btn btn-xs"
              aria-label={`${label} drawn in ${drawing}, change to ${other}`}
              onClick={() => apply(setDrawing(value, other))}
            >
              {drawing}
            </button>
          ) : null}
        </span>
      </td>
      <td className="px-2">
        <span className="flex items-center gap-1">
          {entry?.picture ? (
            <>
              <SwatchDot view={{ picture: entry.picture }} size={26} />
              <input
                type="text"
                key={entry.alt}
                className="input input-xs w-24"
                aria-label={`Alternative text of ${label}`}
                placeholder="alt text"
                defaultValue={entry.alt ?? ""}
                onBlur={(event) => event.target.value !== (entry.alt ?? "") && apply(setAlt(value, event.target.value))}
              />
              <button
                type="button"
                className="grid size-6 place-items-center"
                aria-label={`Remove the picture of ${label}`}
                onClick={() => apply(setPicture(value, undefined))}
              >
                <X size={13} aria-hidden />
              </button>
            </>
          ) : (
            <label className="btn btn-xs cursor-pointer has-focus-visible:outline-2" title="PNG, JPEG, WebP or SVG">
              <ImageUp size={13} aria-hidden />
              <span className="sr-only">Picture for {label}</span>
              <input
                type="file"
                className="sr-only"
                accept="image/png,image/jpeg,image/webp,image/svg+xml"
                onChange={(event) => bring(event.target.files?.[0])}
              />
            </label>
          )}
          <button
            type="button"
            className={`grid size-6 place-items-center ${differs ? "text-accent-content" : "text-quiet"}`}
            aria-pressed={differs}
            aria-label={
              differs ? `${label} shares its swatch with other fields again` : `${label} differs in this field`
            }
            title={
              differs
                ? "Different in this field only. Click to use the same swatch in every field"
                : "The same for this value in every field. Click to change it here only"
            }
            onClick={() => apply(setShared(value, differs))}
          >
            {differs ? <Unlink2 size={14} aria-hidden /> : <Link2 size={14} aria-hidden />}
          </button>
        </span>
      </td>
    </tr>
  );
});

interface GuessProps {
  colours: readonly string[];
  words: string;
  title: string;
  label: string;
  taken: boolean;
  take(): void;
}

function Guess({ colours, words, title, label, taken, take }: GuessProps) {
  return (
    <button
      type="button"
      className="flex min-h-7 items-center gap-1.5 rounded-full pe-2 text-[12px] tabular-nums enabled:hover:bg-plum-soft disabled:opacity-60"
      title={title}
      disabled={taken}
      onClick={take}
    >
      <SwatchDot view={{ colours }} size={24} />
      {taken ? "taken" : words}
      <span className="sr-only">. {label}</span>
    </button>
  );
}

const same = (a: readonly string[], b: readonly string[]): boolean => a.join() === b.join();
