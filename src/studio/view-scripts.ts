/** The views of a shop, each loaded on demand, by the beginning of their address below the shop’s. */
export const viewScripts = {
  "": async () => ({ Component: (await import("./overview/overview-view.tsx")).OverviewView }),
  panels: async () => ({ Component: (await import("./bench/bench-view.tsx")).BenchView }),
  swatches: async () => ({ Component: (await import("./swatches/swatch-view.tsx")).SwatchView }),
  look: async () => ({ Component: (await import("./look/look-view.tsx")).LookView }),
  pages: async () => ({ Component: (await import("./pages/pages-view.tsx")).PagesView }),
  "pages/collections": async () => ({ Component: (await import("./pages/collections-view.tsx")).CollectionsView }),
  "pages/articles": async () => ({ Component: (await import("./pages/articles-view.tsx")).ArticlesView }),
  "pages/around": async () => ({ Component: (await import("./pages/around-view.tsx")).AroundView }),
  rehearsal: async () => ({ Component: (await import("./rehearsal/rehearsal-view.tsx")).RehearsalView }),
  "rehearsal/visits": async () => ({ Component: (await import("./rehearsal/visits/visits-view.tsx")).VisitsView }),
  editions: async () => ({ Component: (await import("./editions/editions-view.tsx")).EditionsView }),
  catalogue: async () => ({ Component: (await import("./catalogue/catalogue-view.tsx")).CatalogueView }),
  "catalogue/products": async () => ({ Component: (await import("./products/products-view.tsx")).ProductsView }),
  "catalogue/mends": async () => ({ Component: (await import("./catalogue/mends-view.tsx")).MendsView }),
  "catalogue/import": async () => ({ Component: (await import("./catalogue/import-view.tsx")).ImportView }),
};

type ViewPath = keyof typeof viewScripts;

/** All views but the overview, whose address is the shop’s. */
export const viewPaths = (Object.keys(viewScripts) as ViewPath[]).filter((path) => path !== "");

/** The frame around the views of a shop. */
export const frameScript = async () => ({ Component: (await import("./shell/shop-frame.tsx")).ShopFrame });

const isView = (path: string): path is ViewPath => Object.hasOwn(viewScripts, path);

/** The view at an address below a shop’s; undefined if there is none. @param parts of the address */
export function viewAt(parts: readonly string[]): ViewPath | undefined {
  const [first = "", second] = parts;
  const longer = `${first}/${second}`;
  return isView(longer) ? longer : isView(first) ? first : undefined;
}
