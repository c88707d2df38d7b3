import type { SwatchView } from "../../core/swatch/view.ts";
import { paint } from "../../storefront/panel/displays/swatch.tsx";

/** A swatch in the tool; hatched if unknown. */
export function SwatchDot({ view, size = 28, title }: { view: SwatchView | undefined; size?: number; title?: string }) {
  const box = { width: size, height: size };
  if (view?.picture)
    return (
      <img
        src={view.picture}
        alt=""
        title={title}
        className="flex-none rounded-md border border-hair bg-white object-contain"
        style={box}
      />
    );
  const ground = view?.colours ? paint(view) : "repeating-linear-gradient(45deg, #fff 0 4px, #d9cbdd 4px 6px)";
  return (
    <span
      title={title}
      aria-hidden
      className="inline-block flex-none rounded-full border align-middle border-black/25"
      style={{ ...box, background: ground }}
    />
  );
}
