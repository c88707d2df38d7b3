/**
 * The largest number that is taken from a file, a form or a request, and with a minus the least. Beyond it,
 * numbers that stand side by side can no longer be told apart. Source: IEEE 754, binary64 (2^53 − 1).
 */
export const largest = Number.MAX_SAFE_INTEGER;

/** Whether a number is one that can be counted with. */
export const isCountable = (value: number): boolean => Math.abs(value) <= largest;
