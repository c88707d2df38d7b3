import { defineConfig } from "vite";

/**
 * What runs on Node.js, built once: the server, its threads and the command line. Read from their sources they take
 * twice to three times as long to start.
 */
export default defineConfig({
  publicDir: false,
  // These call one another as both kinds of module, which Node.js 20 does not load reliably.
  ssr: {
    noExternal: [
      "sanitize-html",
      "htmlparser2",
      "domhandler",
      "domutils",
      "dom-serializer",
      "domelementtype",
      "entities",
    ],
  },
  build: {
    ssr: true,
    outDir: "dist/server",
    emptyOutDir: true,
    target: "node20",
    rolldownOptions: {
      input: {
        main: "src/server/main.ts",
        thread: "src/server/threads/thread.ts",
        trellis: "src/cli/trellis.ts",
      },
      output: { entryFileNames: "[name].js", chunkFileNames: "parts/[name]-[hash].js" },
    },
  },
});
