import type { DocumentKind } from "../document/kind.ts";
import { type PagesDocument, pagesFormat, pagesSchema } from "./pages-schema.ts";

/** A shop's pages. */
export const pagesKind: DocumentKind<PagesDocument> = {
  name: "pages",
  what: "shop’s pages",
  many: false,
  format: pagesFormat,
  schema: pagesSchema,
  migrations: {},
  fresh: () => ({
    format: pagesFormat,
    collections: [],
    articles: [],
    layouts: {},
    exceptions: {},
    bars: [
      { id: "notice", name: "Announcement", height: { wide: 44 }, stays: { wide: true } },
      { id: "menu", name: "Menu", height: { wide: 48 }, stays: { wide: true } },
    ],
    menu: [],
  }),
  touches: ["catalogue"],
  touching: ({ collections }) => collections,
};
