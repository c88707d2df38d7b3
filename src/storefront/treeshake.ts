/** Code that a bundler may remove from shoppers' scripts: calls of library functions whose results are unused. */
export const treeshake = {
  propertyReadSideEffects: false as const,
  unknownGlobalSideEffects: false,
  manualPureFunctions: ["bisector", "shuffler", "blurfImage", "Blur2", "bisectorNumber"],
};
