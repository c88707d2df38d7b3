import { EntitySchema, type Ref } from "@mikro-orm/core";
import { ofShop, type Shop } from "./shop.ts";

/** A picture of the swatch book, named by its content. */
export interface Picture {
  id: number;
  shop: Ref<Shop>;
  name: string;
  /** Media type. */
  type: string;
  bytes: Uint8Array;
}

export const PictureSchema: EntitySchema<Picture> = new EntitySchema<Picture>({
  name: "Picture",
  tableName: "picture",
  uniques: [{ properties: ["shop", "name"] }],
  properties: {
    id: { type: "integer", primary: true, autoincrement: true },
    shop: ofShop,
    name: { type: "string" },
    type: { type: "string" },
    bytes: { type: "blob" },
  },
});
