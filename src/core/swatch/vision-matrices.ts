import type { Vision } from "./measure.ts";

/**
 * Matrices for each complete deficiency, in linear light, row by row, for filters on pictures and pages. Source:
 * Machado, Oliveira and Fernandes (2009).
 */
export const visionMatrices: Readonly<Record<Exclude<Vision, "usual">, readonly number[]>> = {
  protan: [0.152286, 1.052583, -0.204868, 0.114503, 0.786281, 0.099216, -0.003882, -0.048116, 1.051998],
  deutan: [0.367322, 0.860646, -0.227968, 0.280085, 0.672501, 0.047413, -0.01182, 0.04294, 0.968881],
  tritan: [1.255528, -0.076749, -0.178779, -0.078411, 0.930809, 0.147602, 0.004733, 0.691367, 0.3039],
};
