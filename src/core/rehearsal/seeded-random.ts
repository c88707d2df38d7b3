/**
 * A number in [0, 1) that depends only on the given names: the same on every machine, and practically independent for
 * other names. So a shopper remains the same whatever panel is tested. Source: FNV-1a over the names' UTF-16 units,
 * and the finaliser of MurmurHash3 (both public domain).
 */
export function seededRandom(...names: readonly (string | number)[]): number {
  let hash = 0x811c9dc5;
  for (const name of names) {
    const text = `${name}\0`;
    for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193);
  }
  hash = Math.imul(hash ^ (hash >>> 16), 0x85ebca6b);
  hash = Math.imul(hash ^ (hash >>> 13), 0xc2b2ae35);
  return ((hash ^ (hash >>> 16)) >>> 0) / 4294967296;
}

/** A whole number from 0 up to but excluding `n`, drawn in the same way. */
export const seededInteger = (n: number, ...names: readonly (string | number)[]): number =>
  Math.floor(seededRandom(...names) * n);
