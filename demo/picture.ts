import type { DemoProduct, Motif } from "./nursery.ts";
import { Random } from "./random.ts";

const grounds = ["#e9efe4", "#f3ede1", "#e8ecf4", "#f4e9ee", "#eef0ea"];
const leafGreens = ["#4d7a3a", "#5f8d49", "#3f6b3a", "#6b9a57"];
const n = (value: number) => String(Math.round(value * 10) / 10);

/** A 400 × 400 SVG of one product, drawn from its own values. */
export function drawPicture(product: DemoProduct): string {
  const random = new Random(Number(product.id.replace(/\D/g, "")) * 7919);
  const body = product.packet ? seedPacket(random, product) : draw(random, product.motif, product.colours);
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 400 400"><rect width="400" height="400" fill="${random.pick(grounds)}"/>${body}</svg>\n`;
}

function draw(random: Random, motif: Motif, colours: string[]): string {
  switch (motif) {
    case "pot":
      return pot(random, colours);
    case "twine":
      return twine(colours[0]);
    case "trellis":
      return trellis(colours[0], 60, 40, 280, 320, 5, 9);
    case "secateurs":
      return secateurs(colours[0]);
    default:
      return climber(random, motif, colours);
  }
}

function climber(random: Random, motif: Motif, colours: string[]): string {
  const green = random.pick(leafGreens);
  const sway = random.between(-26, 26);
  const stem = (t: number) => ({ x: 200 + sway * Math.sin(t * 5.2) + 40 * Math.sin(t * 9), y: 372 - t * 320 });
  const points = Array.from({ length: 25 }, (_, i) => stem(i / 24));
  const line = points.map(({ x, y }, i) => `${i ? "L" : "M"}${n(x)} ${n(y)}`).join("");
  let svg = trellis("#d8cdb8", 120, 24, 160, 352, 3, 7);
  svg += `<path d="${line}" fill="none" stroke="${green}" stroke-width="5" stroke-linecap="round" stroke-linejoin="round"/>`;
  for (let i = 1; i < 17; i++) {
    const { x, y } = stem(i / 17);
    const side = i % 2 ? 1 : -1;
    svg += leaf(x, y, side * random.between(28, 74), random.between(30, 46), motif === "ivy" ? random.pick(leafGreens) : green, motif === "ivy");
  }
  if (motif === "ivy") return svg;
  const flowers = motif === "wisteria" ? 5 : motif === "jasmine" ? 11 : 7;
  for (let i = 0; i < flowers; i++) {
    const { x, y } = stem((i + 0.9) / (flowers + 0.4));
    const side = i % 2 ? -1 : 1;
    svg += flower(
      motif,
      x + side * random.between(34, 66),
      y + random.between(-14, 14),
      colours[i % colours.length],
      colours[(i + 1) % colours.length],
      random,
    );
  }
  return svg;
}

function leaf(x: number, y: number, angle: number, length: number, fill: string, lobed: boolean): string {
  const width = length * (lobed ? 0.5 : 0.3);
  const shape = lobed
    ? `M0 0L${n(width)} ${n(-length * 0.25)}L${n(width * 0.6)} ${n(-length * 0.5)}L0 ${n(-length)}L${n(-width * 0.6)} ${n(-length * 0.5)}L${n(-width)} ${n(-length * 0.25)}Z`
    : `M0 0C${n(width)} ${n(-length * 0.3)} ${n(width)} ${n(-length * 0.7)} 0 ${n(-length)}C${n(-width)} ${n(-length * 0.7)} ${n(-width)} ${n(-length * 0.3)} 0 0Z`;
  return `<path d="${shape}" transform="translate(${n(x)} ${n(y)})rotate(${n(angle)})" fill="${fill}"/>`;
}

function flower(motif: Motif, x: number, y: number, colour: string, second: string, random: Random): string {
  const turn = random.between(0, 60);
  const petals = (count: number, length: number, width: number, fill: string, start = 0) =>
    Array.from(
      { length: count },
      (_, i) =>
        `<ellipse cx="0" cy="${n(-length / 2)}" rx="${n(width / 2)}" ry="${n(length / 2)}" fill="${fill}" stroke="#00000018" transform="rotate(${n(start + turn + (i * 360) / count)})"/>`,
    ).join("");
  const at = (inner: string) => `<g transform="translate(${n(x)} ${n(y)})">${inner}</g>`;
  const eye = (fill: string, r: number) => `<circle r="${r}" fill="${fill}"/>`;
  switch (motif) {
    case "clematis":
      return at(petals(6, 38, 20, colour) + petals(6, 24, 7, second) + eye("#f3e7a6", 7));
    case "honeysuckle":
      return at(petals(9, 36, 8, colour) + petals(9, 20, 6, second, 20) + eye("#f7e3b0", 4));
    case "jasmine":
      return at(petals(5, 21, 12, colour) + eye(second, 4));
    case "wisteria":
      return at(
        Array.from(
          { length: 16 },
          (_, i) =>
            `<ellipse cx="${n(((i % 3) - 1) * (15 - i * 0.7))}" cy="${n(i * 4.6 - 20)}" rx="${n(9 - i * 0.3)}" ry="7" fill="${i % 2 ? second : colour}" stroke="#00000014"/>`,
        ).join(""),
      );
    case "rose":
      return at(
        [27, 21, 15, 9, 4]
          .map((r, i) => `<circle r="${r}" cx="${i % 2 ? 2 : -2}" cy="${i % 2 ? -1 : 1}" fill="${i % 2 ? second : colour}" stroke="#00000026"/>`)
          .join(""),
      );
    case "passion":
      return at(
        `${petals(10, 34, 13, colour)}<circle r="18" fill="none" stroke="${second}" stroke-width="9" stroke-dasharray="2 2.4"/>${eye("#e6ecb0", 7)}`,
      );
    case "pea":
      return at(
        `<path d="M0 14C-34 4 -30 -34 0 -22C30 -34 34 4 0 14Z" fill="${colour}" stroke="#00000018"/><path d="M0 18C-14 8 -12 -8 0 -4C12 -8 14 8 0 18Z" fill="${second}" stroke="#00000018"/>`,
      );
    case "bean":
      return at(
        `<path d="M0 8C-20 4 -18 -20 0 -14C18 -20 20 4 0 8Z" fill="${colour}"/><path d="M6 8C16 34 8 60 -2 74C-6 52 -4 26 0 8Z" fill="#7aa653"/>`,
      );
    default:
      return at(`<circle r="27" fill="${colour}" stroke="#00000018"/>${petals(5, 25, 6, second)}${eye("#fdf6d8", 8)}`);
  }
}

function seedPacket(random: Random, { motif, colours }: DemoProduct): string {
  let svg = `<g transform="rotate(${n(random.between(-5, 5))} 200 200)"><rect x="104" y="52" width="192" height="296" rx="6" fill="#fffdf6" stroke="#d9ceb7" stroke-width="2"/><path d="M104 84h192" stroke="#d9ceb7" stroke-width="2" stroke-dasharray="5 5"/>`;
  svg += `<rect x="132" y="284" width="136" height="10" rx="5" fill="#39433a"/><rect x="154" y="306" width="92" height="7" rx="3.5" fill="#a9a18f"/>`;
  svg += `<path d="M200 268C190 230 214 200 200 130" stroke="#5f8d49" stroke-width="4" fill="none"/>`;
  for (const [x, y, angle] of [
    [199, 236, 60],
    [201, 214, -60],
    [204, 190, 56],
  ])
    svg += leaf(x, y, angle, 34, "#5f8d49", false);
  for (const [i, [x, y]] of [
    [168, 150],
    [232, 164],
    [200, 122],
  ].entries())
    svg += flower(motif, x, y, colours[i % colours.length], colours[(i + 1) % colours.length], random);
  return `${svg}</g>`;
}

function pot(random: Random, colours: string[]): string {
  const top = random.between(96, 116);
  const foot = random.between(66, 88);
  const height = random.between(150, 200);
  const one = (cx: number, base: number, scale: number, colour: string) =>
    `<g transform="translate(${n(cx)} ${n(base)})scale(${scale})"><path d="M${n(-top)} ${n(-height)}L${n(-foot)} 0H${n(foot)}L${n(top)} ${n(-height)}Z" fill="${colour}"/><path d="M${n(top * 0.35)} ${n(-height)}L${n(foot * 0.35)} 0H${n(foot)}L${n(top)} ${n(-height)}Z" fill="#00000014"/><rect x="${n(-top - 8)}" y="${n(-height - 20)}" width="${n(top * 2 + 16)}" height="32" rx="6" fill="${colour}"/><rect x="${n(-top - 8)}" y="${n(-height + 6)}" width="${n(top * 2 + 16)}" height="6" fill="#00000018"/></g>`;
  const places: [number, number, number][] = [
    [200, 346, 1],
    [308, 352, 0.52],
    [92, 352, 0.46],
  ];
  const [front, ...behind] = places.slice(0, colours.length);
  const floor = `<ellipse cx="200" cy="350" rx="180" ry="16" fill="#0000000f"/>`;
  return floor + one(front[0], front[1], front[2], colours[0]) + behind.map(([x, y, s], i) => one(x, y, s, colours[i + 1])).join("");
}

function twine(colour: string): string {
  const threads = Array.from(
    { length: 9 },
    (_, i) =>
      `<ellipse cx="200" cy="206" rx="${n(118 - i * 2)}" ry="${n(22 + i * 11)}" transform="rotate(${n(-38 + i * 9.5)} 200 206)" fill="none" stroke="#00000024" stroke-width="4"/>`,
  ).join("");
  return `<ellipse cx="204" cy="330" rx="120" ry="13" fill="#0000000f"/><circle cx="200" cy="206" r="122" fill="${colour}"/>${threads}<path d="M292 286C340 306 352 340 384 334" fill="none" stroke="${colour}" stroke-width="8" stroke-linecap="round"/>`;
}

function trellis(colour: string, x: number, y: number, width: number, height: number, across: number, down: number): string {
  let d = "";
  for (let i = 0; i < across; i++) d += `M${n(x + (i * width) / (across - 1))} ${y}v${height}`;
  for (let i = 0; i < down; i++) d += `M${x - 8} ${n(y + 12 + (i * (height - 24)) / (down - 1))}h${width + 16}`;
  return `<path d="${d}" stroke="${colour}" stroke-width="7" stroke-linecap="round" fill="none"/>`;
}

function secateurs(colour: string): string {
  return `<g transform="rotate(32 200 210)" fill="none" stroke-linecap="round"><path d="M188 214C150 262 152 322 172 362" stroke="#8f3b32" stroke-width="24"/><path d="M212 214C250 262 248 322 228 362" stroke="#8f3b32" stroke-width="24"/><path d="M214 214C238 150 222 90 196 52C186 104 184 160 190 214Z" fill="${colour}" stroke="${colour}" stroke-width="4"/><path d="M188 216C164 176 158 130 166 96" stroke="#59636a" stroke-width="15"/><circle cx="200" cy="212" r="13" fill="#e8e4da" stroke="#59636a" stroke-width="4"/></g>`;
}
