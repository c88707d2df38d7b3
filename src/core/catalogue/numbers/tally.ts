/** Increments one entry of a list of counts. */
export function countAt(counts: Uint32Array, at: number): void {
  counts[at] = (counts[at] ?? 0) + 1;
}

/** Turns counts into offsets in place: each entry becomes the sum of those before it. */
export function prefixSums(starts: Uint32Array): void {
  for (let i = 1; i < starts.length; i++) starts[i] = (starts[i] ?? 0) + (starts[i - 1] ?? 0);
}
