import type { Vision } from "../../core/swatch/measure.ts";

/** How colours look with each deficiency in full, in linear light. Source: Machado, Oliveira and Fernandes (2009). */
export const visionMatrices: Readonly<Record<Exclude<Vision, "usual">, readonly number[]>> = {
  protan: [0.152286, 1.052583, -0.204868, 0.114503, 0.786281, 0.099216, -0.003882, -0.048116, 1.051998],
  deutan: [0.367322, 0.860646, -0.227968, 0.280085, 0.672501, 0.047413, -0.01182, 0.04294, 0.968881],
  tritan: [1.255528, -0.076749, -0.178779, -0.078411, 0.930809, 0.147602, 0.004733, 0.691367, 0.3039],
};

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
