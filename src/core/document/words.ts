/** A message with a full stop at its end, where it has no end of its own. */
export const sentence = (message: string): string => (/[.!?]$/.test(message) ? message : `${message}.`);

/** Returns a function from an offset in a text to its line and column, both from 1. */
export function lineFinder(text: string): (offset: number) => { line: number; column: number } {
  const starts = [0];
  for (let at = text.indexOf("\n"); at >= 0; at = text.indexOf("\n", at + 1)) starts.push(at + 1);
  return (offset) => {
    let [low, high] = [0, starts.length - 1];
    while (low < high) {
      const middle = Math.ceil((low + high) / 2);
      if ((starts[middle] ?? 0) <= offset) low = middle;
      else high = middle - 1;
    }
    return { line: low + 1, column: offset - (starts[low] ?? 0) + 1 };
  };
}
