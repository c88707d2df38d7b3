import { availableParallelism } from "node:os";
import { defineConfig } from "vitest/config";

export default defineConfig({
  test: {
    include: ["src/**/*.test.{ts,tsx}", "demo/**/*.test.ts", "tests/unit/**/*.test.ts"],
    environment: "node",
    // Files share what they have loaded, which takes longer to load than most of them to run.
    isolate: false,
    maxWorkers: availableParallelism(),
    testTimeout: 60_000,
  },
});
