import { existsSync, readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { isFacetable } from "../../src/core/catalogue/field.ts";
import { readCatalogue } from "../../src/core/catalogue/read.ts";
import { displayNames, displays } from "../../src/core/displays/displays.ts";
import { edited } from "../../src/core/document/edit.ts";
import { CatalogueIndex } from "../../src/core/engine/index/catalogue-index.ts";
import { chooseDisplay, displayChoices } from "../../src/core/panel/choose-display.ts";
import { emptyPanel, facetRows } from "../../src/core/panel/panel.ts";
import type { FacetRow } from "../../src/core/panel/panel-schema.ts";
import { suggestFacet, suggestRow } from "../../src/core/panel/suggest/suggest.ts";
import { profileField } from "../../src/core/profile/profile.ts";
import { bands, resolve } from "../../src/core/settings/band.ts";
import { displayViews } from "../../src/storefront/panel/displays/all.ts";
import { carsCsv } from "../open-data.ts";

const catalogues = [readFileSync("demo/nursery.csv"), new TextEncoder().encode(carsCsv)].map(
  (bytes) => new CatalogueIndex(readCatalogue(bytes).catalogue),
);
const profiles = catalogues.flatMap((index) =>
  index.catalogue.fields.filter(isFacetable).map((field) => profileField(index, field)),
);

describe("displays", () => {
  it("have a view and style sheets, found by their name", () => {
    const folder = "src/storefront/panel/displays";
    for (const name of displayNames) {
      expect(existsSync(`${folder}/${name}/view.tsx`), name).toBe(true);
      for (const sheet of displayViews[name].sheets) expect(existsSync(`${folder}/${sheet}`), sheet).toBe(true);
    }
  });

  it("suit the fields that they are suggested for", () => {
    for (const profile of profiles) {
      const { display, mode } = suggestFacet(profile);
      expect([profile.field.key, displays[display].unsuited(profile)]).toEqual([profile.field.key, undefined]);
      expect(displays[display].modes).toContain(mode);
    }
  });

  it("say why they do not suit, with a number or what to do", () => {
    const reasons = profiles.flatMap((profile) =>
      displayChoices(profile).flatMap(({ unsuited }) => (unsuited === undefined ? [] : [unsuited])),
    );
    expect(reasons.length).toBeGreaterThan(10);
    for (const reason of reasons) expect(reason).toMatch(/\.$/);
    const light = profiles.find(({ field }) => field.key === "light");
    expect(light && displays.slider.unsuited(light)).toBe(
      "0 of 3 values are numbers. A slider needs numbers or dates only. Correct the values in the catalogue.",
    );
  });
});

describe("choosing a display", () => {
  const row = (key: string) => suggestRow(profiles.find(({ field }) => field.key === key) ?? profiles[0]);
  const afterChoosing = (start: FacetRow, band: "wide" | "medium" | "slim", name: (typeof displayNames)[number]) =>
    facetRows(edited({ ...emptyPanel("x"), rows: [start] }, chooseDisplay(start, band, name, "x")))[0] as FacetRow;

  it("leaves the other bands alone where the mode allows it", () => {
    const tiled = afterChoosing(row("light"), "slim", "tiles");
    expect(bands.map((band) => resolve(tiled.display, band))).toEqual(["check-boxes", "check-boxes", "tiles"]);
    expect(tiled.mode).toBe("any");
  });

  it("never leaves a band with a display that cannot carry the facet's mode", () => {
    for (const profile of profiles) {
      for (const first of displayNames) {
        for (const second of displayNames) {
          const twice = afterChoosing(afterChoosing(suggestRow(profile), "wide", first), "slim", second);
          for (const band of bands) expect(displays[resolve(twice.display, band)].modes).toContain(twice.mode);
          expect(resolve(twice.display, "slim")).toBe(second);
        }
      }
    }
  });
});
