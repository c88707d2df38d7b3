/**
 * A set of record numbers below a fixed size, one bit each, in 32-bit words. Bits after the last record stay zero, so
 * that counting needs no mask.
 */
export type Bitmap = Uint32Array;

/** Number of 32-bit words for a number of bits. */
export const wordsFor = (size: number): number => (size + 31) >>> 5;

/** No bit set, of so many. */
export const emptyBitmap = (size: number): Bitmap => new Uint32Array(wordsFor(size));

/** Every bit set, of so many. */
export function fullBitmap(size: number): Bitmap {
  const bits = emptyBitmap(size).fill(0xffffffff);
  if (size & 31) bits[bits.length - 1] = (1 << (size & 31)) - 1;
  return bits;
}

/** These bits set, of so many. */
export function bitmapOf(ids: ArrayLike<number>, size: number): Bitmap {
  const bits = emptyBitmap(size);
  for (let i = 0; i < ids.length; i++) set(bits, ids[i] ?? 0);
  return bits;
}

/** Sets a bit. */
export function set(bits: Bitmap, id: number): void {
  bits[id >>> 5] = (bits[id >>> 5] ?? 0) | (1 << (id & 31));
}

/** Whether a bit is set. */
export const has = (bits: Bitmap, id: number): boolean => ((bits[id >>> 5] ?? 0) & (1 << (id & 31))) !== 0;

/** Removes from `target` what is not in `other`. */
export function intersect(target: Bitmap, other: Bitmap): Bitmap {
  for (let i = 0; i < target.length; i++) target[i] = (target[i] ?? 0) & (other[i] ?? 0);
  return target;
}

/** Adds to `target` what is in `other`. */
export function union(target: Bitmap, other: Bitmap): Bitmap {
  for (let i = 0; i < target.length; i++) target[i] = (target[i] ?? 0) | (other[i] ?? 0);
  return target;
}

/** Adds to `target` the records of a posting list. */
export function insert(target: Bitmap, ids: Uint32Array): Bitmap {
  for (let i = 0; i < ids.length; i++) set(target, ids[i] ?? 0);
  return target;
}

/** How many records are in the set. */
export const count = (bits: Bitmap): number => countBoth(bits, bits);

/** Calls `visit` for every record of the set, in ascending order. */
export function forEach(bits: Bitmap, visit: (id: number) => void): void {
  for (let i = 0; i < bits.length; i++) {
    for (let word = bits[i] ?? 0; word !== 0; word &= word - 1) visit((i << 5) + 31 - Math.clz32(word & -word));
  }
}

/** The records of the set, in ascending order. */
export function toIds(bits: Bitmap): Uint32Array {
  const ids = new Uint32Array(count(bits));
  let at = 0;
  for (let i = 0; i < bits.length; i++) {
    for (let word = bits[i] ?? 0; word !== 0; word &= word - 1) ids[at++] = (i << 5) + 31 - Math.clz32(word & -word);
  }
  return ids;
}

/** The records below `size` that are not in the set. */
export function complement(bits: Bitmap, size: number): Bitmap {
  const rest = fullBitmap(size);
  for (let i = 0; i < rest.length; i++) rest[i] = (rest[i] ?? 0) & ~(bits[i] ?? 0);
  return rest;
}

/**
 * How many records are in both sets. Three words at a time: sums in four bits have room for three words' counts, so
 * the last steps are taken once for all three. Source: H. S. Warren, Hacker's Delight, section 5-1.
 */
export function countBoth(a: Bitmap, b: Bitmap): number {
  let total = 0;
  let i = 0;
  for (; i + 2 < a.length; i += 3)
    total += sumOf(
      nibbles((a[i] ?? 0) & (b[i] ?? 0)) +
        nibbles((a[i + 1] ?? 0) & (b[i + 1] ?? 0)) +
        nibbles((a[i + 2] ?? 0) & (b[i + 2] ?? 0)),
    );
  for (; i < a.length; i++) total += sumOf(nibbles((a[i] ?? 0) & (b[i] ?? 0)));
  return total;
}

/** Bits set in each four bits of a word. */
function nibbles(word: number): number {
  const pairs = word - ((word >>> 1) & 0x55555555);
  return (pairs & 0x33333333) + ((pairs >>> 2) & 0x33333333);
}

/** The sum of a word's groups of four bits. */
const sumOf = (sums: number): number => Math.imul((sums & 0x0f0f0f0f) + ((sums >>> 4) & 0x0f0f0f0f), 0x01010101) >>> 24;
