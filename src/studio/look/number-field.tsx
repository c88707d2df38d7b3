import { useEffect, useRef, useState } from "react";
import type { Token } from "../../core/look/tokens.ts";

const units: Partial<Record<Token["type"], string>> = { length: "px", time: "ms" };

/** A number: typed, stepped with the arrow keys, or dragged on its unit. */
export function NumberField({
  token,
  value,
  set,
}: {
  token: Pick<Token, "label" | "type" | "min" | "max" | "step">;
  value: number;
  set(value: number): void;
}) {
  const { min = -10_000, max = 10_000, step = 1 } = token;
  const [text, setText] = useState(String(value));
  const from = useRef<{ x: number; value: number } | undefined>(undefined);
  useEffect(() => setText(String(value)), [value]);
  const put = (next: number) => {
    const round = Math.round(Math.max(min, Math.min(max, next)) / step) * step;
    if (Number.isFinite(round)) set(Number(round.toFixed(3)));
    else setText(String(value));
  };
  return (
    <span className="flex items-center rounded-md border border-base-300 bg-base-100 focus-within:outline-2 focus-within:outline-[#b4561b]">
      <input
        type="text"
        inputMode="decimal"
        className="w-14 bg-transparent px-1.5 py-0.5 outline-none text-end text-[13px] tabular-nums"
        aria-label={token.label}
        value={text}
        onChange={(event) => setText(event.target.value)}
        onBlur={() => text !== String(value) && put(Number(text.replace(",", ".")))}
        onKeyDown={(event) => {
          const by = { ArrowUp: step, ArrowDown: -step }[event.key];
          if (event.key === "Enter") put(Number(text.replace(",", ".")));
          if (by === undefined) return;
          event.preventDefault();
          put(value + by * (event.shiftKey ? 10 : 1));
        }}
      />
      <span
        className="w-7 cursor-ew-resize touch-none select-none px-1 text-[13px] text-quiet"
        title="Drag left or right"
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          from.current = { x: event.clientX, value };
        }}
        onPointerMove={(event) => {
          if (from.current) put(from.current.value + Math.round((event.clientX - from.current.x) / 3) * step);
        }}
        onPointerUp={() => {
          from.current = undefined;
        }}
      >
        {units[token.type] ?? "↔"}
      </span>
    </span>
  );
}
