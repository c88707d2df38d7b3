import { displayable, formatHex } from "culori";
import { type PointerEvent, useEffect, useRef } from "react";
import { contrast } from "../../core/swatch/measure.ts";

interface Props {
  hue: number;
  l: number;
  c: number;
  /** The backgrounds of the colour, and the contrast it needs. */
  grounds: readonly string[];
  needed: number;
  set(hex: string): void;
}

const width = 250;
const height = 150;
/** Maximum chroma of screen colours, rounded up. */
const maxChroma = 0.34;
const columns = 50;
const rows = 60;

const colourAt = (l: number, c: number, h: number) => ({ mode: "oklch" as const, l, c, h });

/**
 * All displayable colours of a hue: chroma horizontally, lightness vertically; lines where the contrast becomes
 * sufficient.
 */
export function OklchPlane({ hue, l, c, grounds, needed, set }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const names = grounds.join();
  useEffect(() => {
    const context = canvas.current?.getContext("2d");
    if (!context) return;
    context.clearRect(0, 0, width, height);
    const [cellWidth, cellHeight] = [width / columns, height / rows];
    const passes: boolean[][] = [];
    for (let row = 0; row < rows; row++) {
      const line: boolean[] = [];
      for (let column = 0; column < columns; column++) {
        const colour = colourAt(1 - (row + 0.5) / rows, ((column + 0.5) / columns) * maxChroma, hue);
        const there = displayable(colour);
        const hex = there ? formatHex(colour) : undefined;
        if (hex) {
          context.fillStyle = hex;
          context.fillRect(column * cellWidth, row * cellHeight, cellWidth + 1, cellHeight + 1);
        }
        line.push(
          hex !== undefined && names !== "" && names.split(",").every((ground) => contrast(hex, ground) >= needed),
        );
      }
      passes.push(line);
    }
    // A line along the boundary of sufficient contrast, light on dark so that it is visible on any colour.
    for (const [style, thick] of [
      ["#000000", 3],
      ["#ffffff", 1.2],
    ] as const) {
      context.strokeStyle = style;
      context.lineWidth = thick;
      context.beginPath();
      for (let column = 0; column < columns; column++)
        for (let row = 1; row < rows; row++)
          if (
            passes[row]?.[column] !== passes[row - 1]?.[column] &&
            displayable(colourAt(1 - row / rows, ((column + 0.5) / columns) * maxChroma, hue))
          ) {
            context.moveTo(column * cellWidth, row * cellHeight);
            context.lineTo((column + 1) * cellWidth, row * cellHeight);
          }
      context.stroke();
    }
  }, [hue, names, needed]);

  const take = (event: PointerEvent<HTMLElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    put(1 - (event.clientY - box.top) / box.height, ((event.clientX - box.left) / box.width) * maxChroma);
  };
  const put = (lightness: number, chroma: number) => {
    const [nextL, nextC] = [Math.max(0, Math.min(1, lightness)), Math.max(0, Math.min(maxChroma, chroma))];
    set(formatHex(colourAt(nextL, nextC, hue)));
  };
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label="Lightness and chroma"
      aria-valuemin={0}
      aria-valuemax={100}
      aria-valuenow={Math.round(l * 100)}
      aria-valuetext={`lightness ${Math.round(l * 100)}%, chroma ${c.toFixed(3)}`}
      className="relative cursor-crosshair touch-none overflow-hidden rounded-md bg-base-300"
      style={{ width, height }}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        take(event);
      }}
      onPointerMove={(event) => event.buttons > 0 && take(event)}
      onKeyDown={(event) => {
        const by = { ArrowUp: [0.01, 0], ArrowDown: [-0.01, 0], ArrowRight: [0, 0.005], ArrowLeft: [0, -0.005] }[
          event.key
        ];
        if (!by) return;
        event.preventDefault();
        put(l + (by[0] ?? 0), c + (by[1] ?? 0));
      }}
    >
      <canvas ref={canvas} width={width} height={height} aria-hidden />
      <span
        aria-hidden
        className="pointer-events-none absolute size-3 -translate-1/2 rounded-full border-2 border-white shadow-[0_0_0_1px_#000]"
        style={{ left: `${(c / maxChroma) * 100}%`, top: `${(1 - l) * 100}%` }}
      />
    </div>
  );
}
