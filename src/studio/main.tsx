import "./studio.css";
import "./head-start.ts";
import { createRoot } from "react-dom/client";
import { createBrowserRouter, RouterProvider, redirect } from "react-router";
import { Toaster } from "sonner";
import { SWRConfig } from "swr";
import { FailedView } from "./shell/failed-view.tsx";
import { NotHere } from "./shell/not-here.tsx";

// Each view is loaded on demand; the shell comes with the first view inside a shop.
const router = createBrowserRouter([
  {
    ErrorBoundary: FailedView,
    children: [
      { path: "/", lazy: async () => ({ Component: (await import("./shops/shops-view.tsx")).ShopsView }) },
      { path: "/new", lazy: async () => ({ Component: (await import("./new-shop/new-shop-view.tsx")).NewShopView }) },
      {
        path: "/shops/:shop",
        lazy: async () => ({ Component: (await import("./shell/shop-frame.tsx")).ShopFrame }),
        children: [
          {
            index: true,
            lazy: async () => ({ Component: (await import("./overview/overview-view.tsx")).OverviewView }),
          },
          {
            path: "panels/:panel?",
            lazy: async () => ({ Component: (await import("./bench/bench-view.tsx")).BenchView }),
          },
          // Addresses from when the view was not yet called Panels.
          { path: "bench/:panel?", loader: ({ request: { url } }) => redirect(url.replace("/bench", "/panels")) },
          {
            path: "swatches/:field?",
            lazy: async () => ({ Component: (await import("./swatches/swatch-view.tsx")).SwatchView }),
          },
          { path: "look/:look?", lazy: async () => ({ Component: (await import("./look/look-view.tsx")).LookView }) },
          { path: "pages", lazy: async () => ({ Component: (await import("./pages/pages-view.tsx")).PagesView }) },
          {
            path: "pages/collections/:collection?",
            lazy: async () => ({ Component: (await import("./pages/collections-view.tsx")).CollectionsView }),
          },
          {
            path: "pages/articles/:article?",
            lazy: async () => ({ Component: (await import("./pages/articles-view.tsx")).ArticlesView }),
          },
          {
            path: "pages/around",
            lazy: async () => ({ Component: (await import("./pages/around-view.tsx")).AroundView }),
          },
          {
            path: "rehearsal",
            lazy: async () => ({ Component: (await import("./rehearsal/rehearsal-view.tsx")).RehearsalView }),
          },
          {
            path: "rehearsal/visits",
            lazy: async () => ({ Component: (await import("./rehearsal/visits/visits-view.tsx")).VisitsView }),
          },
          {
            path: "editions",
            lazy: async () => ({ Component: (await import("./editions/editions-view.tsx")).EditionsView }),
          },
          {
            path: "catalogue",
            lazy: async () => ({ Component: (await import("./catalogue/catalogue-view.tsx")).CatalogueView }),
          },
          {
            path: "catalogue/products",
            lazy: async () => ({ Component: (await import("./products/products-view.tsx")).ProductsView }),
          },
          {
            path: "catalogue/mends",
            lazy: async () => ({ Component: (await import("./catalogue/mends-view.tsx")).MendsView }),
          },
          {
            path: "catalogue/import",
            lazy: async () => ({ Component: (await import("./catalogue/import-view.tsx")).ImportView }),
          },
        ],
      },
      {
        path: "*",
        element: <NotHere title="This page doesn’t exist" message="Go to all shops and start from there." />,
      },
    ],
  },
]);

const root = document.getElementById("root");
if (!root) throw new Error("This page is damaged. Reload it.");
createRoot(root).render(
  <SWRConfig value={{ revalidateOnFocus: false, shouldRetryOnError: false }}>
    <RouterProvider router={router} />
    <Toaster position="bottom-left" className="toasts" offset={{ bottom: 64, left: 16 }} />
  </SWRConfig>,
);
