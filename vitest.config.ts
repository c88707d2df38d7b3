import { defineConfig } from "vitest/config";

export default defineConfig({
  test: {
    include: ["src/**/*.test.{ts,tsx}", "demo/**/*.test.ts", "tests/unit/**/*.test.ts"],
    environment: "node",
    testTimeout: 30_000,
  },
});
