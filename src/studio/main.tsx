import "./studio.css";
import { createRoot } from "react-dom/client";
import { createBrowserRouter, Navigate, RouterProvider } from "react-router";
import { Toaster } from "sonner";
import { SWRConfig } from "swr";
import { BenchView } from "./bench/bench-view.tsx";
import { CatalogueView } from "./catalogue/catalogue-view.tsx";
import { ImportView } from "./catalogue/import-view.tsx";
import { MendsView } from "./catalogue/mends-view.tsx";
import { NewShopView } from "./new-shop/new-shop-view.tsx";
import { ProductsView } from "./products/products-view.tsx";
import { NotHere } from "./shell/not-here.tsx";
import { ShopFrame } from "./shell/shop-frame.tsx";
import { ShopsView } from "./shops/shops-view.tsx";
import { SwatchView } from "./swatches/swatch-view.tsx";

const router = createBrowserRouter([
  { path: "/", element: <ShopsView /> },
  { path: "/new", element: <NewShopView /> },
  {
    path: "/shops/:shop",
    element: <ShopFrame />,
    children: [
      { index: true, element: <Navigate to="bench" replace /> },
      { path: "bench/:panel?", element: <BenchView /> },
      { path: "swatches/:field?", element: <SwatchView /> },
      { path: "catalogue", element: <CatalogueView /> },
      { path: "catalogue/products", element: <ProductsView /> },
      { path: "catalogue/mends", element: <MendsView /> },
      { path: "catalogue/import", element: <ImportView /> },
    ],
  },
  { path: "*", element: <NotHere title="Not here" message="There is no such view." /> },
]);

createRoot(document.getElementById("root") as HTMLElement).render(
  <SWRConfig value={{ revalidateOnFocus: false, shouldRetryOnError: false }}>
    <RouterProvider router={router} />
    <Toaster position="bottom-left" toastOptions={{ style: { fontFamily: "inherit" } }} />
  </SWRConfig>,
);
