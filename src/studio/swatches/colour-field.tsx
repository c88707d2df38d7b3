import { Pipette } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import { HexColorPicker } from "react-colorful";
import { toast } from "sonner";
import { readColour } from "../../core/swatch/formats.ts";
import { Fault } from "../shell/alert.tsx";
import { Popover } from "../shell/popover.tsx";
import { SwatchDot } from "./swatch-dot.tsx";

interface Props {
  label: string;
  colours: readonly string[];
  /** Pictures of products with the value, to take a colour from. */
  pictures(): Promise<string[]>;
  set(colours: string[]): void;
}

const most = 4;

/** Up to four colours: typed as any CSS colour, picked, or taken from a product's picture. */
export function ColourField({ label, colours, pictures, set }: Props) {
  const shown = colours.join(" ");
  const [text, setText] = useState(shown);
  const [wrong, setWrong] = useState(false);
  useEffect(() => {
    setText(shown);
    setWrong(false);
  }, [shown]);
  const save = () => {
    if (text.trim() === shown) return;
    const parts = text.match(/[a-z]+\([^)]*\)|#?[\w.]+/gi) ?? [];
    const whole = readColour(text);
    const read = whole ? [whole] : parts.map((part) => readColour(part));
    if (read.length > most || read.some((colour) => colour === undefined)) setWrong(true);
    else set(read as string[]);
  };
  return (
    <span className="flex items-center gap-1.5">
      <Popover
        label={`Pick a colour for ${label}`}
        placement="left"
        className="w-72 p-3"
        trigger={(props) => (
          <button type="button" {...props} className="rounded-full" aria-label={`Pick a colour for ${label}`}>
            <SwatchDot view={colours.length > 0 ? { colours } : undefined} size={26} />
          </button>
        )}
      >
        {() => <Picker colours={colours} pictures={pictures} set={set} />}
      </Popover>
      <input
        type="text"
        name="colours"
        className={`input input-xs w-36 font-mono ${wrong ? "input-error" : ""}`}
        aria-label={`Colours of ${label}`}
        aria-invalid={wrong}
        placeholder="no colour"
        value={text}
        onChange={(event) => setText(event.target.value)}
        onBlur={save}
        onKeyDown={(event) => {
          if (event.key === "Enter") save();
          const way = { Enter: 1, ArrowDown: 1, ArrowUp: -1 }[event.key];
          if (way !== undefined && step(event.currentTarget, way)) event.preventDefault();
        }}
      />
      <Fault
        text={
          wrong ? "This is not a colour. Write #2e8b57, seagreen or oklch(0.7 0.1 140), up to four colours" : undefined
        }
        className="text-[13px] leading-tight"
      />
    </span>
  );
}

/** Moves to the same field of the next or previous row, so that a list can be filled without a mouse. */
function step(input: HTMLInputElement, way: number): boolean {
  const fields = [...(input.closest("table")?.querySelectorAll<HTMLInputElement>(`input[name="${input.name}"]`) ?? [])];
  const next = fields[fields.indexOf(input) + way];
  next?.select();
  next?.scrollIntoView({ block: "nearest" });
  return next !== undefined;
}

/** Delay after which a drag counts as finished, in ms. */
const restAfter = 200;

function Picker({ colours, pictures, set }: Omit<Props, "label">) {
  const [at, setAt] = useState(0);
  const [colour, setColour] = useState(colours[0] ?? "#a0a0a0");
  const rest = useRef<ReturnType<typeof setTimeout>>(undefined);
  const [addresses, setAddresses] = useState<string[]>([]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: asked once, when the card opens
  useEffect(() => {
    let over = false;
    pictures().then((found) => over || setAddresses(found));
    return () => {
      over = true;
    };
  }, []);
  const take = (next: string) => {
    setColour(next);
    const list = [...colours];
    list[at] = next;
    set(list.slice(0, most));
  };
  const choose = (place: number) => {
    setAt(place);
    setColour(colours[place] ?? "#a0a0a0");
  };
  return (
    <div className="grid gap-3">
      <div className="flex items-center gap-1.5" role="radiogroup" aria-label="Which colour">
        {Array.from({ length: Math.min(most, colours.length + 1) }, (_, place) => (
          <button
            key={place}
            type="button"
            role="radio"
            aria-checked={place === at}
            aria-label={colours[place] ? `Colour ${place + 1}: ${colours[place]}` : "One more colour"}
            className={`rounded-full p-0.5 ${place === at ? "ring-2 ring-accent" : ""}`}
            onClick={() => choose(place)}
          >
            {colours[place] ? (
              <SwatchDot view={{ colours: [colours[place]] }} size={24} />
            ) : (
              <span className="grid size-6 place-items-center rounded-full border border-dashed border-secondary">
                +
              </span>
            )}
          </button>
        ))}
        {colours.length > 0 ? (
          <button
            type="button"
            className="link ms-auto text-[13px]"
            onClick={() => set(colours.filter((_, place) => place !== at))}
          >
            Remove colour
          </button>
        ) : null}
      </div>
      <HexColorPicker
        color={colour}
        onChange={(next) => {
          setColour(next);
          clearTimeout(rest.current);
          rest.current = setTimeout(() => take(next), restAfter);
        }}
        style={{ width: "100%", height: 140 }}
      />
      {addresses.length > 0 ? (
        <div>
          <p className="mb-1 flex items-center gap-1 text-[13px] text-quiet">
            <Pipette size={12} aria-hidden /> Click a picture to use the colour at that point
          </p>
          <div className="grid grid-cols-3 gap-1.5">
            {addresses.map((address) => (
              <PickPicture key={address} address={address} take={take} />
            ))}
          </div>
        </div>
      ) : null}
    </div>
  );
}

const drawn = 160;

/** A product's picture; a click takes the colour at that point. */
function PickPicture({ address, take }: { address: string; take(colour: string): void }) {
  const image = useRef<HTMLImageElement>(null);
  return (
    <button
      type="button"
      className="cursor-crosshair overflow-hidden rounded-md border border-hair"
      aria-label="Pick a colour from this picture"
      onClick={(event) => {
        if (!image.current) return;
        const canvas = document.createElement("canvas");
        canvas.width = drawn;
        canvas.height = drawn;
        const context = canvas.getContext("2d");
        context?.drawImage(image.current, 0, 0, drawn, drawn);
        const box = event.currentTarget.getBoundingClientRect();
        // A click by keyboard has no position, so the middle is used.
        const place = (at: number, from: number, length: number) =>
          (event.detail === 0 ? 0.5 : (at - from) / length) * (drawn - 1);
        try {
          const pixel = context?.getImageData(
            place(event.clientX, box.x, box.width),
            place(event.clientY, box.y, box.height),
            1,
            1,
          ).data;
          if (pixel) take(`#${[...pixel.slice(0, 3)].map((byte) => byte.toString(16).padStart(2, "0")).join("")}`);
        } catch {
          toast.error("The picture’s site doesn’t allow reading its colours.");
        }
      }}
    >
      <img ref={image} src={address} alt="" className="aspect-square w-full object-cover" />
    </button>
  );
}
