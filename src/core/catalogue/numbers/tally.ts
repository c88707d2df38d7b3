/** Counts one more at a place of a list of counts. */
export function countAt(counts: Uint32Array, at: number): void {
  counts[at] = (counts[at] ?? 0) + 1;
}

/** Makes the counts of records into places where each one's entries start: every count is added to those before it. */
export function prefixSums(starts: Uint32Array): void {
  for (let i = 1; i < starts.length; i++) starts[i] = (starts[i] ?? 0) + (starts[i - 1] ?? 0);
}
