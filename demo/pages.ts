import { pagesKind } from "../src/core/page/kind.ts";
import type { PagesDocument } from "../src/core/page/pages-schema.ts";

/** The demo shop's collections, articles, layouts and menu. */
export const demoPages: PagesDocument = {
  ...pagesKind.fresh(""),
  collections: [
    {
      id: "sale",
      slug: "on-sale",
      name: "On sale now",
      html: "<p>What we grew too much of. Each size is marked down by itself.</p>",
      of: { by: "conditions", join: "all", conditions: [{ field: "on-sale", options: ["yes"] }] },
      order: "price",
    },
    {
      id: "shade",
      slug: "for-shady-walls",
      name: "For shady walls",
      html: "<p>Climbers that flower, or at least stay green, where the sun hardly comes.</p>",
      of: {
        by: "conditions",
        join: "all",
        conditions: [
          { field: "category", options: ["plants"] },
          { field: "light", options: ["shade", "half shade"] },
        ],
      },
      order: "",
    },
    {
      id: "bees",
      slug: "scent-and-bees",
      name: "Scent and bees",
      html: "",
      of: { by: "conditions", join: "any", conditions: [{ field: "tags", options: ["scented", "bees love it"] }] },
      order: "-rating",
    },
    {
      id: "small",
      slug: "ready-for-less-than-15",
      name: "Ready for less than €15",
      html: "<p>Every price below is of a size that we have in stock.</p>",
      of: {
        by: "conditions",
        join: "all",
        conditions: [
          { field: "price", max: 15 },
          { field: "availability", options: ["in stock"] },
        ],
      },
      order: "price",
    },
    {
      id: "gifts",
      slug: "gifts",
      name: "Gifts",
      html: "<p>Wrapped in jute, sent with a card in your own words.</p>",
      of: {
        by: "conditions",
        join: "all",
        conditions: [
          { field: "tags", options: ["gift"] },
          { field: "price", min: 10, max: 45 },
        ],
      },
      order: "price",
    },
    {
      id: "favourites",
      slug: "our-favourites",
      name: "Our favourites",
      html: "<p>Picked by the people who water them.</p>",
      of: {
        by: "hand",
        products: ["LM101", "LM004", "LM009", "LM016", "LM023", "LM031", "LM042", "LM058", "LM077", "LM001"],
      },
      order: "picked",
    },
    {
      id: "balcony",
      slug: "for-the-balcony",
      name: "For the balcony",
      html: "",
      of: {
        by: "conditions",
        join: "all",
        conditions: [{ field: "pot-size", options: ["9 cm", "2 l", "5 l"] }],
      },
      order: "",
    },
    {
      id: "hardiness",
      slug: "hardiness",
      name: "Hardiness",
      html: "",
      of: { by: "value", field: "hardiness" },
      order: "",
    },
  ],
  articles: [
    {
      id: "choosing",
      slug: "choosing-a-climber",
      title: "Choosing a climber",
      html: "<p>Stand in front of the wall at noon, and again at six. If the sun has been there both times, almost everything will grow; if it has not been there at all, the list is shorter, but by no means empty.</p><p>Then measure. A clematis that reaches three metres on a two-metre fence will spend its summers at the neighbours’.</p><p>Last, think of the winter. What is green in January is worth a flower in June.</p>",
    },
    {
      id: "pets",
      slug: "plants-and-pets",
      title: "Plants that pets may nibble",
      html: "<p>Cats chew what moves, and climbers move. Wisteria and ivy are the two that vets see most.</p><p>Everything that we know to be harmless is marked so. What is not marked we have not tested.</p>",
    },
  ],
  layouts: {
    collection: {
      panels: [{ panel: "climber-finder" }],
      sorts: [
        { id: "usual", sort: "", label: "As we would show it" },
        { id: "cheap", sort: "price", label: "Cheapest first" },
        { id: "dear", sort: "-price", label: "Dearest first" },
        { id: "tall", sort: "-mature-height", label: "Tallest first" },
      ],
      more: "button",
    },
    article: { panels: [{ panel: "three-questions", after: 1 }] },
  },
  exceptions: {
    "/articles/choosing-a-climber": { listing: true },
    "/articles/plants-and-pets": { panels: [{ panel: "beside-the-text", after: 0 }], listing: false },
    "/collections/gifts": {
      panels: [
        { panel: "three-questions", at: { wide: "above" } },
        { panel: "climber-finder", at: { wide: "left", slim: "drawer" } },
      ],
      form: { wide: "table", slim: "list" },
      within: [{ field: "availability", options: ["in stock"] }],
      table: [
        { title: "", cells: [{ part: "picture" }] },
        { title: "Gift", cells: [{ part: "title" }, { part: "rating" }] },
        {
          title: "For",
          cells: [
            { part: "field", field: "light" },
            { part: "field", field: "flower-colour" },
          ],
        },
        { title: "Price", cells: [{ part: "price" }] },
        { title: "Size", cells: [{ part: "variant" }, { part: "basket" }] },
      ],
      picture: 64,
      nothing: "<p>No gift is like that. A voucher always fits.</p>",
    },
  },
  menu: [
    { id: "plants", label: "Plants", to: "/categories/plants" },
    { id: "seeds", label: "Seeds", to: "/categories/seeds" },
    { id: "pots", label: "Pots", to: "/categories/pots" },
    { id: "sale", label: "Sale", to: "/collections/on-sale" },
    { id: "gifts", label: "Gifts", to: "/collections/gifts" },
    { id: "choosing", label: "Choosing", to: "/articles/choosing-a-climber" },
  ],
};
