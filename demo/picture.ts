import { circle, ellipse, Layers, shape } from "./layers.ts";
import type { DemoProduct, Motif } from "./nursery.ts";
import { Random } from "./random.ts";

interface Point {
  x: number;
  y: number;
}

const grounds = ["#e9efe4", "#f3ede1", "#e8ecf4", "#f4e9ee", "#eef0ea"];
const leafGreens = ["#4d7a3a", "#5f8d49", "#3f6b3a", "#6b9a57"];
const fill = (colour: string) => `fill="${colour}"`;
const petal = (colour: string) => `fill="${colour}" stroke="#00000018"`;
const line = (colour: string, width: number) =>
  `stroke="${colour}" stroke-width="${width}" stroke-linecap="round" fill="none"`;

/** A 400 × 400 SVG of one product, drawn from its own values. */
export function drawPicture(product: DemoProduct): string {
  const random = new Random(Number(product.id.replace(/\D/g, "")) * 7919);
  const layers = new Layers();
  const { motif, colours, packet } = product;
  if (packet) seedPacket(layers, random, product);
  else if (motif === "pot") pots(layers, random, colours);
  else if (motif === "twine") twine(layers, colours[0]);
  else if (motif === "trellis") layers.add(line(colours[0], 7), trellis(60, 40, 280, 320, 5, 9));
  else if (motif === "secateurs") secateurs(layers, colours[0]);
  else climber(layers, random, motif, colours);
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 400 400"><rect width="400" height="400" fill="${random.pick(grounds)}"/>${layers}</svg>\n`;
}

function climber(layers: Layers, random: Random, motif: Motif, colours: string[]): void {
  const green = random.pick(leafGreens);
  const sway = random.between(-26, 26);
  const stem = (t: number): Point => ({ x: 200 + sway * Math.sin(t * 5.2) + 40 * Math.sin(t * 9), y: 372 - t * 320 });
  layers.add(line("#d8cdb8", 7), trellis(120, 24, 160, 352, 3, 7));
  const points = Array.from({ length: 25 }, (_, i) => stem(i / 24));
  layers.add(line(green, 5), points.map(({ x, y }, i) => `${i ? "L" : "M"}${Math.round(x)} ${Math.round(y)}`).join(""));
  for (let i = 1; i < 17; i++) {
    const side = i % 2 ? 1 : -1;
    const angle = side * random.between(28, 74);
    layers.add(
      fill(motif === "ivy" ? random.pick(leafGreens) : green),
      leaf(stem(i / 17), angle, random.between(30, 46), motif === "ivy"),
    );
  }
  if (motif === "ivy") return;
  const flowers = motif === "wisteria" ? 5 : motif === "jasmine" ? 11 : 7;
  for (let i = 0; i < flowers; i++) {
    const { x, y } = stem((i + 0.9) / (flowers + 0.4));
    const side = i % 2 ? -1 : 1;
    const at = { x: x + side * random.between(34, 66), y: y + random.between(-14, 14) };
    flower(layers, random, motif, at, colours[i % colours.length], colours[(i + 1) % colours.length]);
  }
}

function leaf(at: Point, angle: number, length: number, lobed: boolean): string {
  const w = length * (lobed ? 0.5 : 0.3);
  const l = -length;
  const path = lobed
    ? `M 0 0 L ${w} ${l * 0.25} L ${w * 0.6} ${l * 0.5} L 0 ${l} L ${-w * 0.6} ${l * 0.5} L ${-w} ${l * 0.25} Z`
    : `M 0 0 C ${w} ${l * 0.3} ${w} ${l * 0.7} 0 ${l} C ${-w} ${l * 0.7} ${-w} ${l * 0.3} 0 0 Z`;
  return shape(path, angle, at);
}

function flower(layers: Layers, random: Random, motif: Motif, at: Point, colour: string, second: string): void {
  const turn = random.between(0, 60);
  const petals = (count: number, length: number, width: number, start = 0) =>
    Array.from({ length: count }, (_, i) =>
      ellipse(0, -length / 2, width / 2, length / 2, start + turn + (i * 360) / count, at),
    );
  // A second look of the same colours is a layer of its own, above the first.
  const inner = `${petal(second)} class="i"`;
  switch (motif) {
    case "clematis":
      layers
        .add(petal(colour), ...petals(6, 38, 20))
        .add(inner, ...petals(6, 24, 7))
        .add(fill("#f3e7a6"), circle(7, at));
      break;
    case "honeysuckle":
      layers
        .add(petal(colour), ...petals(9, 36, 8))
        .add(inner, ...petals(9, 20, 6, 20))
        .add(fill("#f7e3b0"), circle(4, at));
      break;
    case "jasmine":
      layers.add(petal(colour), ...petals(5, 21, 12)).add(inner, circle(4, at));
      break;
    case "wisteria":
      for (let i = 0; i < 16; i++) {
        layers.add(
          petal(i % 2 ? second : colour),
          ellipse(((i % 3) - 1) * (15 - i * 0.7), i * 4.6 - 20, 9 - i * 0.3, 7, 0, at),
        );
      }
      break;
    case "rose":
      for (const [i, r] of [27, 21, 15, 9, 4].entries()) {
        const off = { x: at.x + (i % 2 ? 2 : -2), y: at.y + (i % 2 ? -1 : 1) };
        layers.add(
          `fill="${i % 2 ? second : colour}" stroke="#00000038" stroke-width="2" class="${i}"`,
          circle(r, off),
        );
      }
      break;
    case "passion":
      layers.add(petal(colour), ...petals(10, 34, 13));
      layers
        .add(`fill="none" stroke="${second}" stroke-width="9" stroke-dasharray="2 2.4"`, circle(18, at))
        .add(fill("#e6ecb0"), circle(7, at));
      break;
    case "pea":
      layers.add(petal(colour), shape("M 0 14 C -34 4 -30 -34 0 -22 C 30 -34 34 4 0 14 Z", 0, at));
      layers.add(inner, shape("M 0 18 C -14 8 -12 -8 0 -4 C 12 -8 14 8 0 18 Z", 0, at));
      break;
    case "bean":
      layers.add(fill(colour), shape("M 0 8 C -20 4 -18 -20 0 -14 C 18 -20 20 4 0 8 Z", 0, at));
      layers.add(fill("#7aa653"), shape("M 6 8 C 16 34 8 60 -2 74 C -6 52 -4 26 0 8 Z", 0, at));
      break;
    default:
      layers
        .add(petal(colour), circle(27, at))
        .add(inner, ...petals(5, 25, 6))
        .add(fill("#fdf6d8"), circle(8, at));
  }
}

function seedPacket(layers: Layers, random: Random, { motif, colours }: DemoProduct): void {
  layers.add('fill="#fffdf6" stroke="#d9ceb7" stroke-width="2"', "M104 52h192v296h-192Z");
  layers.add('stroke="#d9ceb7" stroke-width="2" stroke-dasharray="5 5" fill="none"', "M104 84h192");
  layers.add(fill("#39433a"), "M132 284h136v10h-136Z").add(fill("#a9a18f"), "M154 306h92v7h-92Z");
  layers.add(line("#5f8d49", 4), "M200 268C190 230 214 200 200 130");
  for (const [x, y, angle] of [
    [199, 236, 60],
    [201, 214, -60],
    [204, 190, 56],
  ]) {
    layers.add(fill("#5f8d49"), leaf({ x, y }, angle, 34, false));
  }
  for (const [i, [x, y]] of [
    [168, 150],
    [232, 164],
    [200, 122],
  ].entries()) {
    flower(layers, random, motif, { x, y }, colours[i % colours.length], colours[(i + 1) % colours.length]);
  }
}

function pots(layers: Layers, random: Random, colours: string[]): void {
  const top = random.between(96, 116);
  const foot = random.between(66, 88);
  const height = random.between(150, 200);
  const one = (at: Point, scale: number, colour: string) => {
    const [t, f, h, rim] = [top * scale, foot * scale, -height * scale, (top + 8) * scale];
    layers.add(fill(colour), shape(`M ${-t} ${h} L ${-f} 0 L ${f} 0 L ${t} ${h} Z`, 0, at));
    layers.add(
      `fill="#00000014" class="${scale}"`,
      shape(`M ${t * 0.35} ${h} L ${f * 0.35} 0 L ${f} 0 L ${t} ${h} Z`, 0, at),
    );
    const [up, low] = [h - 20 * scale, h + 12 * scale];
    layers.add(
      `${fill(colour)} class="r${scale}"`,
      shape(`M ${-rim} ${up} L ${rim} ${up} L ${rim} ${low} L ${-rim} ${low} Z`, 0, at),
    );
    layers.add(
      `fill="#00000018" class="${scale}"`,
      shape(`M ${-rim} ${low - 6 * scale} L ${rim} ${low - 6 * scale} L ${rim} ${low} L ${-rim} ${low} Z`, 0, at),
    );
  };
  layers.add(fill("#0000000f"), ellipse(0, 0, 180, 16, 0, { x: 200, y: 350 }));
  const places: [Point, number][] = [
    [{ x: 200, y: 346 }, 1],
    [{ x: 308, y: 352 }, 0.52],
    [{ x: 92, y: 352 }, 0.46],
  ];
  colours.slice(0, places.length).forEach((colour, i) => {
    one(...places[i], colour);
  });
}

function twine(layers: Layers, colour: string): void {
  const at = { x: 200, y: 206 };
  layers.add(fill("#0000000f"), ellipse(0, 0, 120, 13, 0, { x: 204, y: 330 })).add(fill(colour), circle(122, at));
  const threads = Array.from({ length: 9 }, (_, i) => ellipse(0, 0, 118 - i * 2, 22 + i * 11, -38 + i * 9.5, at));
  layers
    .add('fill="none" stroke="#00000024" stroke-width="4"', ...threads)
    .add(line(colour, 8), "M292 286C340 306 352 340 384 334");
}

function trellis(x: number, y: number, width: number, height: number, across: number, down: number): string {
  let d = "";
  for (let i = 0; i < across; i++) d += `M${Math.round(x + (i * width) / (across - 1))} ${y}v${height}`;
  for (let i = 0; i < down; i++)
    d += `M${x - 8} ${Math.round(y + 12 + (i * (height - 24)) / (down - 1))}h${width + 16}`;
  return d;
}

function secateurs(layers: Layers, colour: string): void {
  const turned = (path: string) => shape(path, 32, { x: 200, y: 210 });
  layers.add(line("#8f3b32", 24), turned("M -12 4 C -50 52 -48 112 -28 152"), turned("M 12 4 C 50 52 48 112 28 152"));
  layers.add(fill(colour), turned("M 14 4 C 38 -60 22 -120 -4 -158 C -14 -106 -16 -50 -10 4 Z"));
  layers.add(line("#59636a", 15), turned("M -12 6 C -36 -34 -42 -80 -34 -114"));
  layers.add('fill="#e8e4da" stroke="#59636a" stroke-width="4"', circle(13, { x: 200, y: 212 }));
}
