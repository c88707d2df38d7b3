import { visionMatrices } from "../../core/swatch/vision-matrices.ts";

/** Filters by which anything is seen as with a deficiency: `url(#seen-protan)` and so on. */
export const VisionFilters = () => (
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
