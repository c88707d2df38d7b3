/**
 * The largest number accepted from a file, a form or a request, and negated the smallest. Beyond it adjacent integers
 * can't be distinguished. Source: IEEE 754, binary64 (2^53 − 1).
 */
export const largest = Number.MAX_SAFE_INTEGER;

/** Whether a number is finite and small enough to count with. */
export const isCountable = (value: number): boolean => Math.abs(value) <= largest;
