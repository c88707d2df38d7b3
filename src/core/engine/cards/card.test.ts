import { describe, expect, it } from "vitest";
import { readCatalogue, readTable } from "../../catalogue/read.ts";
import { suggestReading } from "../../catalogue/suggest-reading.ts";
import { isSafePicture } from "../../sanitize/safe-address.ts";
import { CatalogueIndex } from "../index/catalogue-index.ts";
import { cardOf } from "./card.ts";

describe("cards", () => {
  it("show the lowest price, whether others cost more, and a sale", () => {
    const { catalogue } = readCatalogue(
      new TextEncoder().encode(
        "product_id,title,price,list_price,stock,image\na,A,8,10,1,/a.png\na,A,12,,0,\nb,B,5,,0,javascript:alert(1)\nc,,,,,//evil.example/x.png\n",
      ),
    );
    const cards = [0, 1, 2].map((p) => cardOf(new CatalogueIndex(catalogue), p));
    expect(cards[0]).toMatchObject({ price: 8, from: true, was: 10, soldOut: false, image: "/a.png" });
    expect(cards[1]).toMatchObject({ price: 5, from: false, was: undefined, soldOut: true, image: undefined });
    expect(cards[2]).toMatchObject({ title: "c", price: undefined, image: undefined });
  });

  it("show the picture of the cheapest variant that fits, wherever it stands", () => {
    const csv = "product_id,title,price,image\na,A,12,/dear.png\na,A,8,/cheap.png\na,A,9,/middle.png\n";
    const index = new CatalogueIndex(readCatalogue(new TextEncoder().encode(csv)).catalogue);
    expect(cardOf(index, 0)).toMatchObject({ price: 8, image: "/cheap.png" });
    expect(cardOf(index, 0, (variant) => variant !== 1)).toMatchObject({ price: 9, image: "/middle.png" });
    expect(cardOf(index, 0, (variant) => variant === 0)).toMatchObject({ price: 12, image: "/dear.png" });
  });

  it("load pictures from the shop or over http only", () => {
    expect(["/a.svg", "https://a.example/b.png", "HTTP://a.example/b"].every(isSafePicture)).toBe(true);
    for (const address of [
      "javascript:x",
      "data:text/html,x",
      "//a.example/x",
      "x.png",
      "",
      "/\\host/a.png",
      "/\t/host/a.png",
    ])
      expect(isSafePicture(address)).toBe(false);
  });
});

describe("a card without a picture", () => {
  it("tells a few short values in its place: colour and brand first, none twice, no sentences, numbers, tags or stock", () => {
    const csv = `product_id,title,brand,tags,price,Colour,Care,stock,Size,image
a,A,Wick,new,8,Sea green,"Wash it by hand, and only in rain water from the roof",sold out,XL,
b,B,Wick,new,8,Wick,,sold out,,/b.png
`;
    const { catalogue } = readCatalogue(new TextEncoder().encode(csv), {
      reading: suggestReading(readTable(new TextEncoder().encode(csv))).map((column, at) =>
        at === 5 ? { ...column, kind: "colour" as const } : column,
      ),
    });
    const [one, other] = [0, 1].map((p) => cardOf(new CatalogueIndex(catalogue), p));
    expect(one?.facts).toEqual(["Sea green", "Wick", "XL"]);
    expect(other).not.toHaveProperty("facts");
  });
});
