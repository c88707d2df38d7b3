import { Random } from "./random.ts";

/** The description that a picture is drawn from. */
export type Motif =
  | "clematis"
  | "honeysuckle"
  | "jasmine"
  | "wisteria"
  | "rose"
  | "passion"
  | "ivy"
  | "pea"
  | "bell"
  | "bean"
  | "pot"
  | "twine"
  | "trellis"
  | "secateurs";

export interface DemoProduct {
  id: string;
  motif: Motif;
  packet: boolean;
  /** Colours that the picture is drawn in, as `#rrggbb`. */
  colours: string[];
  /** Cells by heading, one record a variant. */
  rows: Record<string, string>[];
}

export const headings = [
  "product_id",
  "sku",
  "title",
  "description",
  "category",
  "brand",
  "tags",
  "price",
  "list_price",
  "stock",
  "rating",
  "reviews",
  "published",
  "image",
  "Flower colour",
  "Light",
  "Mature height",
  "In flower",
  "Hardiness",
  "Evergreen",
  "Pet safe",
  "Pot size",
  "Pot colour",
  "Material",
  "Dispatch from",
] as const;

/** The colours that the pictures are drawn from. */
export const flowerColours: [string, string[]][] = [
  ["White", ["#fbfaf4"]],
  ["Cream", ["#f6ecd2"]],
  ["Pale pink", ["#f6c9d4"]],
  ["Deep pink", ["#d6437f"]],
  ["Crimson", ["#a8163a"]],
  ["Burgundy", ["#6d1a33"]],
  ["Apricot", ["#f7b27a"]],
  ["Orange", ["#ee7f1a"]],
  ["Yellow", ["#f4cf2f"]],
  ["Lilac", ["#c5a3d9"]],
  ["Violet", ["#6b3fa0"]],
  ["Sky blue", ["#86b9ea"]],
  ["Midnight blue", ["#2b3578"]],
  ["White / pink", ["#fbfaf4", "#f1a1b8"]],
  ["Yellow and red", ["#f4cf2f", "#c8281e"]],
  ["Moonlit", ["#dfe3ee", "#aab4d6"]],
  ["Ember", ["#e2571e", "#7d1f1a"]],
];

const first = [
  "Moth",
  "Linen",
  "Ghost",
  "Paper",
  "Foam",
  "Pearl",
  "Harbour",
  "Copper",
  "Lantern",
  "Velvet",
  "Marsh",
  "Orchard",
  "Winter",
  "Candle",
  "Thistle",
  "Meadow",
  "Silver",
  "Fable",
  "Amber",
  "Quarry",
  "Sparrow",
  "Tidal",
  "Button",
  "Chapel",
];
const second = [
  "Bell",
  "Lace",
  "Veil",
  "Song",
  "Lamp",
  "Ribbon",
  "Tide",
  "Ladder",
  "Crown",
  "Drift",
  "Letter",
  "Wing",
  "Spire",
  "Halo",
  "Gate",
  "Cloud",
];
const growers = ["Fennimore & Daughters", "Old Quay Growers", "Tansy Hill", "Brackenrow", "Marrowfield", "Wickwillow"];
const light = ["Full sun", "Half shade", "Shade"];
const months = [
  "January",
  "February",
  "March",
  "April",
  "May",
  "June",
  "July",
  "August",
  "September",
  "October",
  "November",
  "December",
];
const hardiness = ["H2 tender", "H3 half-hardy", "H4 hardy", "H5 very hardy"];
const glazes: [string, string][] = [
  ["Terracotta", "#c4623f"],
  ["Charcoal", "#3d4145"],
  ["Sage", "#9cab86"],
  ["Cream", "#f6ecd2"],
  ["Midnight blue", "#2b3578"],
];

interface Kind {
  motif: Motif;
  noun: string;
  category: string;
  count: number;
  height: [number, number];
  /** First and last month that it can begin to flower in; none for foliage. */
  season?: [number, number];
  evergreen: boolean | undefined;
}

const climbers: Kind[] = [
  {
    motif: "clematis",
    noun: "clematis",
    category: "Plants > Climbers > Clematis",
    count: 30,
    height: [150, 600],
    season: [3, 8],
    evergreen: false,
  },
  {
    motif: "honeysuckle",
    noun: "honeysuckle",
    category: "Plants > Climbers > Honeysuckle",
    count: 18,
    height: [250, 700],
    season: [4, 7],
    evergreen: undefined,
  },
  {
    motif: "jasmine",
    noun: "jasmine",
    category: "Plants > Climbers > Jasmine",
    count: 14,
    height: [200, 500],
    season: [5, 8],
    evergreen: undefined,
  },
  {
    motif: "wisteria",
    noun: "wisteria",
    category: "Plants > Climbers > Wisteria",
    count: 12,
    height: [500, 900],
    season: [4, 5],
    evergreen: false,
  },
  {
    motif: "rose",
    noun: "climbing rose",
    category: "Plants > Climbers > Roses",
    count: 24,
    height: [200, 600],
    season: [5, 6],
    evergreen: false,
  },
  {
    motif: "passion",
    noun: "passion flower",
    category: "Plants > Climbers > Passion flower",
    count: 9,
    height: [250, 600],
    season: [6, 8],
    evergreen: undefined,
  },
  { motif: "ivy", noun: "ivy", category: "Plants > Foliage > Ivy", count: 14, height: [60, 800], evergreen: true },
];
const seeds: Kind[] = [
  {
    motif: "pea",
    noun: "sweet pea",
    category: "Seeds > Annual climbers > Sweet pea",
    count: 22,
    height: [40, 220],
    season: [5, 7],
    evergreen: undefined,
  },
  {
    motif: "bell",
    noun: "morning glory",
    category: "Seeds > Annual climbers > Morning glory",
    count: 16,
    height: [150, 350],
    season: [6, 8],
    evergreen: undefined,
  },
  {
    motif: "bean",
    noun: "runner bean",
    category: "Seeds > Vegetables > Beans",
    count: 12,
    height: [180, 300],
    season: [5, 7],
    evergreen: undefined,
  },
];

/** Makes the nursery: about 240 products and 700 variants, with the faults that real catalogues have. */
export function makeNursery(seed = 20261124): DemoProduct[] {
  const random = new Random(seed);
  const names = new Set<string>();
  const products: DemoProduct[] = [];
  const name = (noun: string) => {
    for (;;) {
      const made = `${random.pick(first)} ${random.pick(second)} ${noun}`;
      if (!names.has(made)) {
        names.add(made);
        return made;
      }
    }
  };
  const next = () => `LM${String(products.length + 1).padStart(3, "0")}`;

  for (const kind of climbers) {
    for (let i = 0; i < kind.count; i++) products.push(climber(random, kind, next(), name(kind.noun)));
  }
  for (const kind of seeds) {
    for (let i = 0; i < kind.count; i++) products.push(packet(random, kind, next(), name(kind.noun)));
  }
  for (let i = 0; i < 38; i++)
    products.push(pot(random, next(), name(random.pick(["pot", "planter", "long tom", "trough"]))));
  for (let i = 0; i < 31; i++) products.push(tool(random, next(), name, i));
  tangle(random, products);
  return products;
}

function common(random: Random, id: string, title: string, category: string): Record<string, string> {
  return {
    product_id: id,
    title: title[0] + title.slice(1),
    category,
    brand: random.pick(growers),
    tags: random
      .some(["new", "bees love it", "scented", "cut flower", "gift", "peat-free"], random.whole(0, 2))
      .join("|"),
    rating: random.chance(0.72) ? (random.whole(28, 50) / 10).toFixed(1) : "",
    reviews: String(random.whole(0, 140)),
    published: new Date(Date.UTC(2026, random.whole(0, 9), random.whole(1, 28))).toISOString().slice(0, 10),
    image: `/demo/pictures/${id}.svg`,
  };
}

function growing(random: Random, kind: Kind): Record<string, string> {
  const cells: Record<string, string> = {
    Light: random.chance(0.94) ? random.some(light, random.whole(1, 2)).join("|") : "",
    "Mature height": random.chance(0.9) ? String(Math.round(random.between(...kind.height) / 10) * 10) : "",
    "Pet safe": random.chance(0.45) ? (random.chance(0.6) ? "yes" : "no") : "",
    Evergreen:
      kind.evergreen === undefined
        ? random.chance(0.5)
          ? random.chance(0.4)
            ? "yes"
            : "no"
          : ""
        : kind.evergreen
          ? "yes"
          : "no",
  };
  if (kind.season) {
    const start = random.whole(...kind.season);
    cells["In flower"] = months.slice(start, start + random.whole(2, 3)).join("|");
  }
  return cells;
}

function climber(random: Random, kind: Kind, id: string, title: string): DemoProduct {
  const [colour, colours] = kind.motif === "ivy" ? ["", ["#55803f"]] : random.pick(flowerColours);
  const base = {
    ...common(random, id, title, kind.category),
    ...growing(random, kind),
    description: `A ${kind.noun} raised in our own frames. Tie it in early and water it well in its first summer.`,
    "Flower colour": colour,
    Hardiness: random.pick(hardiness),
    "Dispatch from": random.chance(0.6)
      ? new Date(Date.UTC(2027, random.whole(1, 4), random.whole(1, 28))).toISOString().slice(0, 10)
      : "",
  };
  const sizes: [string, number][] = [
    ["9 cm", 1],
    ["2 l", 1.7],
    ["5 l", 2.9],
    ["10 l", 4.6],
  ];
  const own = random.some(sizes, random.whole(3, 4));
  const potColours = random.chance(0.22) ? random.some(["Terracotta", "Charcoal"], 2) : [""];
  const start = random.between(6, 13);
  const sale = random.chance(0.22);
  const rows = own.flatMap(([size, factor]) =>
    potColours.map((potColour, i) => {
      const price = Math.round(start * factor * 4 + i * 4) / 4;
      return {
        ...base,
        sku: `${id}-${size.replace(" ", "")}${potColour ? potColour[0] : ""}`,
        "Pot size": size,
        "Pot colour": potColour,
        price: price.toFixed(2),
        list_price: sale ? (price * 1.25).toFixed(2) : "",
        stock: String(random.chance(0.18) ? 0 : random.whole(1, 40)),
      };
    }),
  );
  return { id, motif: kind.motif, packet: false, colours, rows };
}

function packet(random: Random, kind: Kind, id: string, title: string): DemoProduct {
  const [colour, colours] = random.pick(flowerColours);
  const price = random.whole(8, 18) / 4;
  const row = {
    ...common(random, id, title, kind.category),
    ...growing(random, kind),
    sku: id,
    description: `Seed of ${kind.noun}, about ${random.whole(12, 60)} to a packet. Sow under glass from February.`,
    "Flower colour": colour,
    price: price.toFixed(2),
    list_price: random.chance(0.12) ? (price + 0.75).toFixed(2) : "",
    stock: String(random.chance(0.1) ? 0 : random.whole(5, 200)),
  };
  return { id, motif: kind.motif, packet: true, colours, rows: [row] };
}

function pot(random: Random, id: string, title: string): DemoProduct {
  const material = random.pick(["Clay", "Glazed clay", "Fibre", "Recycled wood"]);
  const own = random.some(glazes, random.whole(2, 3));
  const base = {
    ...common(random, id, title, `Pots > ${title.endsWith("trough") ? "Troughs" : "Round pots"} > ${material}`),
    description: "Frost-proof to minus eight degrees, with a drainage hole.",
    Material: material,
  };
  const sizes: [string, number][] = [
    ["5 l", 1],
    ["10 l", 1.5],
    ["20 l", 2.4],
  ];
  const start = random.between(9, 22);
  const rows = own.flatMap(([glaze]) =>
    random.some(sizes, 2).map(([size, factor]) => ({
      ...base,
      sku: `${id}-${size.replace(" ", "")}${glaze.slice(0, 2)}`,
      "Pot size": size,
      "Pot colour": glaze,
      price: (Math.round(start * factor * 2) / 2).toFixed(2),
      list_price: "",
      stock: String(random.chance(0.25) ? 0 : random.whole(1, 15)),
    })),
  );
  return { id, motif: "pot", packet: false, colours: own.map(([, colour]) => colour), rows };
}

function tool(random: Random, id: string, name: (noun: string) => string, i: number): DemoProduct {
  const [motif, noun, group] = (
    [
      ["twine", "twine", "Twine"],
      ["trellis", "trellis panel", "Supports"],
      ["secateurs", "secateurs", "Cutting"],
    ] as const
  )[i % 3];
  const material =
    motif === "twine"
      ? random.pick(["Jute", "Hemp", "Cotton"])
      : motif === "trellis"
        ? random.pick(["Cedar", "Willow", "Steel"])
        : "Steel";
  const colour = {
    Jute: "#c9a36b",
    Hemp: "#a8a078",
    Cotton: "#e9e0cc",
    Cedar: "#a5683c",
    Willow: "#8a6d4b",
    Steel: "#6f7a80",
  }[material] as string;
  const row = {
    ...common(random, id, name(noun), `Tools > ${group}`),
    sku: id,
    description: "Made to be used for years, and mended when it must be.",
    Material: material,
    price: (random.whole(12, 150) / 4).toFixed(2),
    list_price: random.chance(0.15) ? "39.50" : "",
    stock: String(random.chance(0.1) ? 0 : random.whole(1, 60)),
  };
  return { id, motif, packet: false, colours: [colour], rows: [row] };
}

/** Typical faults of real catalogues: spellings that clash, and one product that costs a fortune. */
function tangle(random: Random, products: DemoProduct[]): void {
  for (const product of products) {
    for (const row of product.rows) {
      if (row.Light === "Half shade" && random.chance(0.3)) row.Light = random.pick(["half shade", "Half  shade"]);
      if (row["Pet safe"] === "yes" && random.chance(0.15)) row["Pet safe"] = "Yes";
    }
    const [head] = product.rows;
    if (head["Flower colour"] === "White" && random.chance(0.2))
      for (const row of product.rows) row["Flower colour"] = "white";
    // A field on which variants only differ in spelling stays the product's.
    if (head.Light) for (const row of product.rows) row.Light = head.Light;
  }
  const dear = products.find((product) => product.motif === "wisteria") as DemoProduct;
  for (const row of dear.rows) row.title = "Century wisteria, trained on an arch";
  dear.rows[dear.rows.length - 1].price = "340.00";
}
