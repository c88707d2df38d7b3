import fc from "fast-check";
import { expect, it } from "vitest";
import { type Band, bands } from "../settings/band.ts";
import { fitBars, stickyHeight } from "./bars.ts";
import type { Bar } from "./pages-schema.ts";

const banded = <T>(value: fc.Arbitrary<T>) =>
  fc.record({ wide: value, medium: fc.option(value, { nil: undefined }), slim: fc.option(value, { nil: undefined }) });
const bar = fc.record({
  id: fc.uuid(),
  name: fc.constant("Bar"),
  height: banded(fc.integer({ min: 1, max: 200 })),
  stays: banded(fc.boolean()),
});

it("bars fit a measured height on one band, and stay as they are on the others", () => {
  fc.assert(
    fc.property(
      fc.array(bar, { maxLength: 4 }),
      fc.constantFrom<Band>(...bands),
      fc.integer({ min: 0, max: 400 }),
      (bars: Bar[], band, height) => {
        const fitted = fitBars(bars, band, height);
        expect(stickyHeight(fitted, band)).toBe(height);
        for (const other of bands.filter((one) => one !== band))
          expect(stickyHeight(fitted, other)).toBe(stickyHeight(bars, other));
      },
    ),
  );
});
