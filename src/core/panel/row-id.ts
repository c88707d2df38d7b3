/** An id based on `id` that no row of the panel has. */
export function freeId(rows: readonly { id: string }[], id: string): string {
  const taken = new Set(rows.map((row) => row.id));
  for (let n = 1; ; n++) {
    const candidate = n === 1 ? id : `${id.slice(0, 36)}-${n}`;
    if (!taken.has(candidate)) return candidate;
  }
}
