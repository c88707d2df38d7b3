import type { CSSProperties } from "react";
import type { Vision } from "../../core/swatch/measure.ts";
import { visionMatrices } from "../../core/swatch/vision-matrices.ts";

/** The name of each kind of colour vision. */
export const visionNames: Record<Vision, string> = {
  usual: "normal vision",
  protan: "without red",
  deutan: "without green",
  tritan: "without blue",
};

/** SVG filters that simulate colour vision deficiencies; needed once per page. */
export const SightFilters = () => (
  <svg width="0" height="0" className="absolute" aria-hidden>
    {Object.entries(visionMatrices).map(([name, matrix]) => (
      <filter key={name} id={`seen-${name}`} colorInterpolationFilters="linearRGB">
        <feColorMatrix
          values={[0, 3, 6]
            .map((at) => `${matrix.slice(at, at + 3).join(" ")} 0 0`)
            .concat("0 0 0 1 0")
            .join(" ")}
        />
      </filter>
    ))}
  </svg>
);

/** The CSS that applies a filter; {@link SightFilters} must be on the page. */
export const sightFilter = (sight: Vision): CSSProperties =>
  sight === "usual" ? {} : { filter: `url(#seen-${sight})` };

/** Selects the simulated colour vision. */
export function SightChoice({ sight, set }: { sight: Vision; set(sight: Vision): void }) {
  return (
    <select
      className="select select-xs w-32 flex-none text-quiet"
      aria-label="Colour vision"
      value={sight}
      onChange={(event) => {
        const chosen = event.target.value;
        if (chosen in visionNames) set(chosen as Vision);
      }}
    >
      {Object.entries(visionNames).map(([name, words]) => (
        <option key={name} value={name}>
          {words}
        </option>
      ))}
    </select>
  );
}
