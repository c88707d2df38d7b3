import { useMemo } from "react";
import { otherFacets, type WayNode, waysOf } from "../../core/rehearsal/ways.ts";
import { percent } from "../shell/percent.ts";
import type { Run } from "./use-rehearsal.ts";

const width = 880;
const height = 300;
const column = 130;
const gap = 6;

const endNames: Record<string, string> = {
  arrived: "Found it",
  "nothing helps": "Nothing helped",
  patience: "Out of patience",
};
const endColours: Record<string, string> = { arrived: "#4d6b33", "nothing helps": "#a83c25", patience: "#a83c25" };

/** Facets first, then rarely used ones, endings last. */
const rankOf = ({ at, ends }: WayNode): number => (ends ? 2 : at === otherFacets ? 1 : 0);

interface Placed extends WayNode {
  x: number;
  y: number;
  h: number;
}

/** Flows of shoppers from facet to facet, with their size and the number of products left. */
export function WaysPicture({ run }: { run: Run }) {
  const { walks, stage } = run;
  const ways = useMemo(() => waysOf(walks), [walks]);
  if (walks.length === 0) return <p className="text-quiet">Sending the first shoppers…</p>;
  const titles = new Map((stage?.facets ?? []).map(({ row, title }) => [row, title]));
  const nameOf = ({ at, ends }: WayNode) =>
    ends ? (endNames[at] ?? at) : at === otherFacets ? "Other facets" : (titles.get(at) ?? at);
  const columns = Math.max(...ways.nodes.map(({ step }) => step)) + 1;
  const most = Math.max(
    ...Array.from({ length: columns }, (_, step) => ways.nodes.filter((one) => one.step === step).length),
  );
  const scale = (height - most * gap) / walks.length;
  const placed = new Map<WayNode, Placed>();
  for (let step = 0; step < columns; step++) {
    let y = 0;
    // Endings are at the bottom, so that fewer lines cross.
    const here = ways.nodes
      .filter((one) => one.step === step)
      .sort((a, b) => rankOf(a) - rankOf(b) || b.shoppers - a.shoppers);
    for (const node of here) {
      const h = Math.max(2, node.shoppers * scale);
      placed.set(node, { ...node, x: step * ((width - column) / Math.max(1, columns - 1)), y, h });
      y += h + gap;
    }
  }
  const used = new Map<WayNode, { out: number; in: number }>();
  const links = [...ways.links]
    .sort((a, b) => (placed.get(a.to)?.y ?? 0) - (placed.get(b.to)?.y ?? 0))
    .map((link) => {
      const [from, to] = [placed.get(link.from), placed.get(link.to)];
      if (!from || !to) return undefined;
      const [left, right] = [used.get(link.from) ?? { out: 0, in: 0 }, used.get(link.to) ?? { out: 0, in: 0 }];
      const h = link.shoppers * scale;
      const [y1, y2] = [from.y + left.out + h / 2, to.y + right.in + h / 2];
      used.set(link.from, { ...left, out: left.out + h });
      used.set(link.to, { ...right, in: right.in + h });
      const middle = (from.x + column + to.x) / 2;
      const key = `${from.step} ${from.at} ${to.at}`;
      return (
        <path
          key={key}
          d={`M${from.x + column} ${y1}C${middle} ${y1} ${middle} ${y2} ${to.x} ${y2}`}
          strokeWidth={Math.max(0.5, h)}
        />
      );
    });
  const summary = [...placed.values()]
    .map(
      (node) => `${node.step + 1}. ${nameOf(node)}: ${node.shoppers} shoppers, ${Math.round(node.left)} products left`,
    )
    .join("; ");
  return (
    <figure>
      <svg role="img" aria-label={summary} viewBox={`0 0 ${width} ${height + 4}`} className="w-full max-w-5xl">
        <g fill="none" stroke="#8d7596" strokeOpacity="0.28">
          {links}
        </g>
        {[...placed.values()].map((node) => {
          const name = nameOf(node);
          const room = node.h >= 26;
          return (
            <g key={`${node.step} ${node.at} ${node.ends}`}>
              <title>{`${name}: ${percent(node.shoppers, walks.length)} of shoppers, ${Math.round(node.left)} products left`}</title>
              <rect
                x={node.x}
                y={node.y}
                width={column}
                height={node.h}
                rx="3"
                fill={node.ends ? endColours[node.at] : "#eee6ef"}
                stroke={node.ends ? "none" : "#b9a4c0"}
              />
              {node.h >= 12 ? (
                <text
                  x={node.x + 8}
                  y={node.y + (room ? 13 : node.h / 2 + 4)}
                  fontSize="11"
                  fontWeight="600"
                  fill={node.ends ? "#fff8ef" : "#321a3d"}
                >
                  {name.length > 20 ? `${name.slice(0, 19)}…` : name}
                </text>
              ) : null}
              {room ? (
                <text x={node.x + 8} y={node.y + 25} fontSize="10" fill={node.ends ? "#fff8ef" : "#6a5573"}>
                  {`${percent(node.shoppers, walks.length)}, ${Math.round(node.left)} left`}
                </text>
              ) : null}
            </g>
          );
        })}
      </svg>
      <figcaption className="mt-2 text-[13px] text-quiet">
        Each column is one more choice. Taller means more shoppers; the number is the average of products left.
      </figcaption>
    </figure>
  );
}
