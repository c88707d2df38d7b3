import { defineConfig } from "@playwright/test";
import { launch } from "./tests/browser.ts";
import { serverProgram, sharedPort } from "./tests/server.ts";

const port = sharedPort;

/** Debian's Chromium against the built application with a database of its own. */
export default defineConfig({
  testDir: "tests/end-to-end",
  outputDir: "reports/end-to-end",
  reporter: [["list"], ["json"]],
  workers: 2,
  // Where nobody can look, a test that fails is tried once more, and named as flaky when it passes then.
  retries: process.env.CI ? 1 : 0,
  timeout: 180_000,
  // A machine under load opens a page more slowly; what is waited for is the same.
  expect: { timeout: 30_000 },
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    screenshot: "only-on-failure",
    launchOptions: launch,
  },
  webServer: {
    command: `node ${serverProgram} --port ${port} --fresh --data reports/end-to-end-${port}.db`,
    url: `http://127.0.0.1:${port}/api/shops`,
    reuseExistingServer: false,
  },
});
