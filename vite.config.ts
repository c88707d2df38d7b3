import tailwind from "@tailwindcss/vite";
import react from "@vitejs/plugin-react";
import { defineConfig } from "vite";

const server = "http://127.0.0.1:4311";

/** The designer's application. The storefront that shoppers get has a build of its own. */
export default defineConfig({
  root: "src/studio",
  publicDir: false,
  plugins: [react({ exclude: /src\/storefront/ }), tailwind()],
  build: { outDir: "../../dist/studio", emptyOutDir: true, chunkSizeWarningLimit: 1500 },
  server: {
    host: "127.0.0.1",
    port: 4310,
    strictPort: true,
    fs: { allow: ["../.."] },
    proxy: { "/api/": server, "/shop/": server, "/demo/": server, "/pictures/": server },
  },
});
