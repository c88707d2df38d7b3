import { type Placement, placementPictures } from "../../core/settings/placement.ts";

/** A page in small, with the panel where it stands. */
export function PlacementGlyph({ placement }: { placement: Placement }) {
  const { panel, products, mark } = placementPictures[placement];
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
  box: readonly [x: number, y: number, width: number, height: number];
  fill: string;
  stroke?: string;
  strokeWidth?: string;
}) {
  return <rect x={x} y={y} width={width} height={height} rx="2" {...paint} />;
}
