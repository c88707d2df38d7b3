import type { DocumentKind } from "../document/kind.ts";
import { pagesDifferences } from "./differences.ts";
import { type PagesDocument, pagesFormat, pagesSchema } from "./pages-schema.ts";

/** A shop's pages. */
export const pagesKind: DocumentKind<PagesDocument, false, "pages"> = {
  name: "pages",
  what: "shop’s pages",
  title: "A shop’s pages",
  heading: "Pages",
  member: "pages",
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
  differences: pagesDifferences,
};
