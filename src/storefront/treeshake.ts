/**
 * What a bundler may leave out of everything that shoppers fetch. Functions of libraries that are called when they are
 * loaded leave with what they make, where nobody uses that.
 */
export const treeshake = {
  propertyReadSideEffects: false as const,
  unknownGlobalSideEffects: false,
  manualPureFunctions: ["bisector", "shuffler", "blurfImage", "Blur2", "bisectorNumber"],
};
