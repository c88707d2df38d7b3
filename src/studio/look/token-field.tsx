import { useEffect, useState } from "react";
import { familiesIn, shippedFonts, stackOf, systemFonts } from "../../core/look/fonts.ts";
import { type Scheme, valueOn } from "../../core/look/resolve.ts";
import type { Token } from "../../core/look/tokens.ts";
import { referenceIn, type Shadow, type TokenValue } from "../../core/look/value.ts";
import { valueFault } from "../../core/look/value-fault.ts";
import type { Band } from "../../core/settings/band.ts";
import { PicturePick } from "../controls/picture-pick.tsx";
import { ColourPick } from "./colour-pick.tsx";
import type { StyleTarget } from "./look-context.ts";
import { NumberField } from "./number-field.tsx";

interface Props {
  token: Token;
  target: StyleTarget;
  band: Band;
  scheme: Scheme;
}

/** The control for a token's value, by its type. */
export function TokenField({ token, target, band, scheme }: Props) {
  const value = valueOn(target.look, token.name, band, scheme);
  const set = (next: TokenValue) => target.set(token, next);
  switch (token.type) {
    case "colour":
      return (
        <ColourPick token={token} look={target.look} band={band} scheme={scheme} value={String(value)} set={set} />
      );
    case "choice":
      return (
        <select
          className="select select-xs w-32"
          aria-label={token.label}
          value={String(value)}
          onChange={(event) => set(event.target.value)}
        >
          {Object.keys(token.choices ?? {}).map((one) => (
            <option key={one}>{one}</option>
          ))}
        </select>
      );
    case "font":
      return <FontField token={token} value={String(value)} set={set} />;
    case "shadow":
      return typeof value === "object" ? <ShadowField label={token.label} value={value} set={set} /> : null;
    case "picture":
      return <PicturePick label={token.label} value={String(value)} set={set} />;
    default:
      return <NumberField token={token} value={Number(value)} set={set} />;
  }
}

/** A typeface: shipped, a system font, or the shop's own by name. */
function FontField({ token, value, set }: { token: Token; value: string; set(value: TokenValue): void }) {
  const known = [...shippedFonts.map((font) => ({ name: font.name, stack: stackOf(font) })), ...systemFonts];
  const chosen = known.find(({ stack }) => stack === value);
  const [own, setOwn] = useState(false);
  const [text, setText] = useState(value);
  const [wrong, setWrong] = useState<string | undefined>(undefined);
  useEffect(() => setText(value), [value]);
  const missing = chosen
    ? []
    : familiesIn(value)
        .slice(0, 1)
        .filter((family) => !isThere(family));
  const save = () => {
    const fault = valueFault(token, text.trim());
    setWrong(fault);
    if (!fault && text.trim() !== value) set(text.trim());
  };
  return (
    <span className="flex w-44 flex-col gap-1">
      <select
        className="select select-xs w-full"
        aria-label={token.label}
        value={own || !chosen ? "own" : chosen.stack}
        onChange={(event) => {
          setOwn(event.target.value === "own");
          if (event.target.value !== "own") set(event.target.value);
        }}
      >
        {known.map(({ name, stack }) => (
          <option key={stack} value={stack}>
            {name}
          </option>
        ))}
        <option value="own">by name…</option>
      </select>
      {own || !chosen ? (
        <input
          type="text"
          className="input input-xs w-full"
          aria-label={`${token.label}, by name`}
          value={text}
          onChange={(event) => setText(event.target.value)}
          onBlur={save}
          onKeyDown={(event) => event.key === "Enter" && save()}
        />
      ) : null}
      {wrong ? <span className="text-[13px] text-error">It {wrong}.</span> : null}
      {missing.length > 0 && !wrong ? (
        <span className="text-[13px] text-quiet">
          “{missing[0]}” isn’t installed on this computer, so the next font in the list is used.
        </span>
      ) : null}
    </span>
  );
}

/** Whether a font family is available: an unknown one doesn't change a text's measured width. */
function isThere(family: string): boolean {
  if (/^(?:serif|sans-serif|monospace|system-ui|ui-\w+|cursive|inherit)$/.test(family)) return true;
  const context = document.createElement("canvas").getContext("2d");
  if (!context) return true;
  const width = (font: string) => {
    context.font = font;
    return context.measureText("mmmmwwwwiill0123").width;
  };
  return ["monospace", "serif"].some((base) => width(`40px "${family}", ${base}`) !== width(`40px ${base}`));
}

function ShadowField({ label, value, set }: { label: string; value: Shadow; set(value: TokenValue): void }) {
  const part = (name: "x" | "y" | "blur" | "spread") => (
    <label className="flex items-center gap-1 text-[13px] text-quiet">
      {name}
      <input
        type="number"
        className="input input-xs w-12 px-1 text-end"
        aria-label={`${label}, ${name}`}
        value={value[name]}
        min={name === "blur" ? 0 : -100}
        max={100}
        onChange={(event) =>
          Number.isFinite(event.target.valueAsNumber) && set({ ...value, [name]: event.target.valueAsNumber })
        }
      />
    </label>
  );
  const hex = referenceIn(value.colour) === undefined ? value.colour : "#00000026";
  return (
    <span className="grid grid-cols-2 gap-1">
      {part("x")}
      {part("y")}
      {part("blur")}
      {part("spread")}
      <label className="col-span-2 flex items-center gap-1 text-[13px] text-quiet">
        colour
        <input
          type="color"
          className="h-5 w-8"
          aria-label={`${label}, colour`}
          value={hex.slice(0, 7)}
          onChange={(event) => set({ ...value, colour: event.target.value + (hex.slice(7) || "40") })}
        />
        <input
          type="range"
          className="range range-xs w-20"
          aria-label={`${label}, opacity`}
          min={0}
          max={255}
          value={Number.parseInt(hex.slice(7) || "ff", 16)}
          onChange={(event) =>
            set({ ...value, colour: hex.slice(0, 7) + event.target.valueAsNumber.toString(16).padStart(2, "0") })
          }
        />
      </label>
    </span>
  );
}
