import type { Manifest } from "../../storefront/handoff/wire.ts";

/** What an earlier handoff named as its files, by the text of its manifest; undefined where that is none. */
export function manifestOf(text: string): Manifest | undefined {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

/**
 * Whether a file of an earlier handoff is of no use any more. Files whose names have a hash stay as long as the last
 * handoff named them: pages that are still open fetch them.
 */
export function isStale(path: string, last: Manifest | undefined): boolean {
  if (/^pages\/.+\.html$/.test(path)) return true;
  return (
    /^(?:trellis|engine|shop|catalogue|cards)\.[0-9a-f]{12}\.\w+$/.test(path) &&
    !Object.values(last?.files ?? {}).includes(path)
  );
}
