import "./studio.css";
import { createRoot } from "react-dom/client";
import { createBrowserRouter, RouterProvider, redirect } from "react-router";
import { Toaster } from "sonner";
import { SWRConfig } from "swr";
import { FailedView } from "./shell/failed-view.tsx";
import { NotHere } from "./shell/not-here.tsx";
import { frameScript, viewPaths, viewScripts } from "./view-scripts.ts";

/** Parameters behind some views in their addresses. */
const parameters: Partial<Record<keyof typeof viewScripts, string>> = {
  panels: "panel",
  swatches: "field",
  look: "look",
  "pages/collections": "collection",
  "pages/articles": "article",
};

const router = createBrowserRouter([
  {
    ErrorBoundary: FailedView,
    children: [
      { path: "/", lazy: async () => ({ Component: (await import("./shops/shops-view.tsx")).ShopsView }) },
      { path: "/new", lazy: async () => ({ Component: (await import("./new-shop/new-shop-view.tsx")).NewShopView }) },
      {
        path: "/shops/:shop",
        // The shell comes with the first view inside a shop.
        lazy: frameScript,
        children: [
          { index: true, lazy: viewScripts[""] },
          ...viewPaths.map((path) => {
            const parameter = parameters[path];
            return { path: parameter ? `${path}/:${parameter}?` : path, lazy: viewScripts[path] };
          }),
          // Addresses from when the view was not yet called Panels.
          { path: "bench/:panel?", loader: ({ request: { url } }) => redirect(url.replace("/bench", "/panels")) },
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
