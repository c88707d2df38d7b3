import { limits } from "../sanitize/limits.ts";

const [quote, backslash] = [34, 92];
const opening: ReadonlySet<number> = new Set([91, 123]);
const closing: ReadonlySet<number> = new Set([93, 125]);

/**
 * Whether brackets in a JSON text are nested deeper than allowed. Such a text would take far more memory than its
 * length and overflow recursive code. Works without parsing, so the text need not be valid.
 */
export function isTooDeep(json: string, most: number = limits.jsonDepth.max): boolean {
  let depth = 0;
  for (let at = 0; at < json.length; at++) {
    const code = json.charCodeAt(at);
    if (code === quote) {
      for (at++; at < json.length && json.charCodeAt(at) !== quote; at++) if (json.charCodeAt(at) === backslash) at++;
    } else if (opening.has(code)) {
      if (++depth > most) return true;
    } else if (closing.has(code)) depth--;
  }
  return false;
}
