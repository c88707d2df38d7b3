import { formatHex, oklch } from "culori";
import { useEffect, useMemo, useState } from "react";
import { groundsUnder } from "../../core/look/audit.ts";
import { alphaOf, hexOf, over } from "../../core/look/colour.ts";
import { type LookValues, referencesOf, type Scheme } from "../../core/look/resolve.ts";
import { type Token, tokens } from "../../core/look/tokens.ts";
import { following, type TokenValue } from "../../core/look/value.ts";
import type { Band } from "../../core/settings/band.ts";
import { contrast } from "../../core/swatch/measure.ts";
import { Popover } from "../shell/popover.tsx";
import { NumberField } from "./number-field.tsx";
import { OklchPlane } from "./oklch-plane.tsx";

interface Props {
  token: Token;
  look: LookValues;
  band: Band;
  scheme: Scheme;
  /** As `#rrggbb` or `#rrggbbaa`. */
  value: string;
  set(value: TokenValue): void;
}

/** A colour: shown, typed, picked in OKLCH with its required contrasts, or following another. */
export function ColourPick({ token, look, band, scheme, value, set }: Props) {
  const [text, setText] = useState(value);
  const [wrong, setWrong] = useState(false);
  useEffect(() => {
    setText(value);
    setWrong(false);
  }, [value]);
  const save = () => {
    if (text.trim() === value) return;
    const read = hexOf(text.trim());
    setWrong(read === undefined);
    if (read) set(read);
  };
  return (
    <span className="flex items-center gap-1.5">
      <Popover
        label={`Pick ${token.label.toLowerCase()}`}
        placement="left"
        className="w-[276px] p-3"
        trigger={(props) => (
          <button
            type="button"
            {...props}
            aria-label={`Pick ${token.label.toLowerCase()}: ${value}`}
            className="size-6 rounded-md border border-[#8888]"
            style={{
              background: `linear-gradient(${value}, ${value}), repeating-conic-gradient(#ccc 0 25%, #fff 0 50%) 0 0 / 8px 8px`,
            }}
          />
        )}
      >
        {() => <Picker token={token} look={look} band={band} scheme={scheme} value={value} set={set} />}
      </Popover>
      <input
        type="text"
        className={`input input-xs w-24 font-mono text-[13px] ${wrong ? "input-error" : ""}`}
        aria-label={token.label}
        aria-invalid={wrong}
        value={text}
        onChange={(event) => setText(event.target.value)}
        onBlur={save}
        onKeyDown={(event) => event.key === "Enter" && save()}
      />
    </span>
  );
}

const two = (share: number): string =>
  Math.round(share * 255)
    .toString(16)
    .padStart(2, "0");

function Picker({ token, look, band, scheme, value, set }: Props) {
  const own = value.slice(0, 7);
  const alpha = alphaOf(value);
  // A grey has no hue; the previous one is kept.
  const [hue, setHue] = useState(() => oklch(own)?.h ?? 0);
  const { l = 0, c = 0, h } = oklch(own) ?? {};
  const shownHue = c > 0.002 && h !== undefined ? h : hue;
  const against = useMemo(() => groundsUnder(look, token, band, scheme), [look, token, band, scheme]);
  const take = (hex: string, strength = alpha) => set(strength === 1 ? hex : hex + two(strength));
  const [follows] = referencesOf(look, token.name, band, scheme);
  const worst = against && Math.min(...against.grounds.map((ground) => contrast(over(value, ground), ground)));
  return (
    <div className="grid gap-2.5 text-[13px]">
      <OklchPlane
        hue={shownHue}
        l={l}
        c={c}
        grounds={against?.grounds ?? []}
        needed={against?.needed ?? 0}
        set={(hex) => take(hex)}
      />
      <label className="grid grid-cols-[52px_1fr] items-center gap-2">
        Hue
        <input
          type="range"
          min={0}
          max={360}
          value={Math.round(shownHue)}
          className="h-3 w-full appearance-none rounded-full"
          style={{
            background: `linear-gradient(to right, ${[0, 60, 120, 180, 240, 300, 360].map((at) => `oklch(0.7 0.15 ${at})`).join(", ")})`,
          }}
          onChange={(event) => {
            setHue(event.target.valueAsNumber);
            const hex = formatHex({ mode: "oklch", l, c, h: event.target.valueAsNumber });
            if (hex !== own) take(hex);
          }}
        />
      </label>
      <div className="grid grid-cols-[52px_1fr] items-center gap-2">
        Opacity
        <NumberField
          token={{ label: "Opacity in per cent", type: "number", min: 0, max: 100, step: 1 }}
          value={Math.round(alpha * 100)}
          set={(percent) => take(own, percent / 100)}
        />
      </div>
      {worst !== undefined && against ? (
        <p className={worst < against.needed ? "text-error" : "text-success"}>
          {worst.toFixed(2)}:1, {worst < against.needed ? "but needs" : "needs"} {against.needed}:1
        </p>
      ) : null}
      <label className="grid grid-cols-[52px_1fr] items-center gap-2">
        Follows
        <select
          className="select select-xs w-full"
          value={follows ?? ""}
          onChange={(event) => set(event.target.value === "" ? value : following(event.target.value))}
        >
          <option value="">nothing</option>
          {followable(token).map((name) => (
            <option key={name} value={name}>
              {name}
            </option>
          ))}
        </select>
      </label>
    </div>
  );
}

/** Colours that can be followed: the basics, and the part's own. */
const followable = ({ name, part }: Token): string[] =>
  [...tokens.values()]
    .filter((one) => one.type === "colour" && one.name !== name && (one.to.length === 0 || one.part === part))
    .map((one) => one.name);
