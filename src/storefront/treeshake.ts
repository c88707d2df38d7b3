/**
 * Code that a bundler may leave out of everything that shoppers load: library functions that are called on loading,
 * where nobody uses their results.
 */
export const treeshake = {
  propertyReadSideEffects: false as const,
  unknownGlobalSideEffects: false,
  manualPureFunctions: ["bisector", "shuffler", "blurfImage", "Blur2", "bisectorNumber"],
};
