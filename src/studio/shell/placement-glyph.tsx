import type { Placement } from "../../core/settings/placement.ts";

/** Where a panel stands, in words. */
export const placementWords: Record<Placement, string> = {
  left: "Left of the products",
  right: "Right of the products",
  above: "Above the products",
  header: "In the header of the shop",
  drawer: "In a drawer, behind a button",
  folded: "Folded, behind a button",
  article: "In the text of an article",
  nothing: "Only when no products match",
  absent: "Hidden on this band",
};

type Box = readonly [x: number, y: number, width: number, height: number];

/** Panel and products on a page of 40 by 24. */
const drawn: Record<Placement, { panel?: Box; products: Box; mark?: string }> = {
  left: { panel: [1, 1, 11, 22], products: [15, 1, 24, 22] },
  right: { panel: [28, 1, 11, 22], products: [1, 1, 24, 22] },
  above: { panel: [1, 1, 38, 8], products: [1, 12, 38, 11] },
  header: { panel: [0, 0, 40, 6], products: [1, 9, 38, 14] },
  drawer: { panel: [1, 1, 20, 22], products: [1, 1, 38, 22], mark: "M32 8l-4 4 4 4" },
  folded: { panel: [1, 1, 13, 6], products: [1, 10, 38, 13], mark: "M18 3l3 3 3-3" },
  article: { panel: [22, 6, 17, 12], products: [1, 1, 38, 22], mark: "M5 6h13M5 11h13M5 16h13" },
  nothing: { panel: [8, 12, 24, 8], products: [1, 1, 38, 22], mark: "M17 4l6 5M23 4l-6 5" },
  absent: { products: [1, 1, 38, 22] },
};

/** A page in small, with the panel where it stands. */
export function PlacementGlyph({ placement }: { placement: Placement }) {
  const { panel, products, mark } = drawn[placement];
  return (
    <svg width="40" height="24" viewBox="0 0 40 24" aria-hidden="true" className="flex-none">
      <Rect box={products} fill="none" stroke="#b9a9bf" strokeWidth="1.5" />
      {panel ? <Rect box={panel} fill="#321a3d" /> : null}
      {mark ? <path d={mark} fill="none" stroke="#321a3d" strokeWidth="2" /> : null}
    </svg>
  );
}

function Rect({
  box: [x, y, width, height],
  ...paint
}: {
  box: Box;
  fill: string;
  stroke?: string;
  strokeWidth?: string;
}) {
  return <rect x={x} y={y} width={width} height={height} rx="2" {...paint} />;
}
