/** One decimal is finer than the screen. */
const n = (value: number) => String(Math.round(value * 10) / 10);

/** A point turned about the origin by degrees, then moved. */
function place(x: number, y: number, angle: number, at: { x: number; y: number }): string {
  const turn = (angle * Math.PI) / 180;
  return `${n(at.x + x * Math.cos(turn) - y * Math.sin(turn))} ${n(at.y + x * Math.sin(turn) + y * Math.cos(turn))}`;
}

/** An ellipse about (cx, cy), which is turned by `angle` about the point `at` that it is placed at. */
export function ellipse(
  cx: number,
  cy: number,
  rx: number,
  ry: number,
  angle: number,
  at: { x: number; y: number },
): string {
  const arc = `A${n(rx)} ${n(ry)} ${n(angle)} 1 0`;
  const [top, bottom] = [place(cx, cy - ry, angle, at), place(cx, cy + ry, angle, at)];
  return `M${top}${arc} ${bottom}${arc} ${top}Z`;
}

export const circle = (r: number, at: { x: number; y: number }): string => ellipse(0, 0, r, r, 0, at);

/** A path of lines and curves whose points are given about the origin: `M 0 0 C 1 2 3 4 5 6 Z`. */
export function shape(path: string, angle: number, at: { x: number; y: number }): string {
  const words = path.split(" ");
  const placed: string[] = [];
  for (let w = 0; w < words.length; w++) {
    const word = words[w] ?? "";
    placed.push(/^[MLCZ]$/.test(word) ? word : place(Number(word), Number(words[++w]), angle, at));
  }
  return placed.join(" ").replace(/ ?([MLCZ]) ?/g, "$1");
}

/**
 * Gathers shapes into few paths: all shapes of one look in one layer are one path, so that a browser
 * parses and paints a picture of a hundred petals as fast as one of five.
 */
export class Layers {
  #paths = new Map<string, string>();

  /** @param look attributes of the path, such as `fill="#123456"`; layers are painted in the order of their first use */
  add(look: string, ...shapes: string[]): this {
    this.#paths.set(look, (this.#paths.get(look) ?? "") + shapes.join(""));
    return this;
  }

  toString(): string {
    return [...this.#paths].map(([look, d]) => `<path d="${d}" ${look}/>`).join("");
  }
}
