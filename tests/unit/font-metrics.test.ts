import { createRequire } from "node:module";
import { describe, expect, it } from "vitest";
import typefaces from "../../src/server/font-metrics.json" with { type: "json" };

const require = createRequire(import.meta.url);

// Source: the npm package @capsizecss/metrics, which reads them from the typefaces' files.
describe("numbers of typefaces", () => {
  it.each(Object.entries(typefaces))("are those of the package: %s", (name, numbers) => {
    expect(require(`@capsizecss/metrics/${name}`)).toMatchObject(numbers);
  });
});
