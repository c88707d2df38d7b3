/** Findings of trial panels, and the check that a remedy does away with its finding. */
import { readFileSync } from "node:fs";
import { expect } from "vitest";
import { readCatalogue } from "../src/core/catalogue/read.ts";
import { edited } from "../src/core/document/edit.ts";
import { checkDocument } from "../src/core/document/kind.ts";
import { CatalogueIndex } from "../src/core/engine/index/catalogue-index.ts";
import type { Selection } from "../src/core/engine/question.ts";
import { emptySelection } from "../src/core/engine/selection.ts";
import type { Finding } from "../src/core/findings/finding.ts";
import { findFindings } from "../src/core/findings/findings.ts";
import { fixEdit } from "../src/core/findings/fix.ts";
import type { Measures } from "../src/core/findings/measure.ts";
import { panelKind } from "../src/core/panel/kind.ts";
import { emptyPanel } from "../src/core/panel/panel.ts";
import type { PanelDocument, Row } from "../src/core/panel/panel-schema.ts";
import { LocalFacts } from "../src/core/profile/local-facts.ts";
import { profileField } from "../src/core/profile/profile.ts";

export const nursery = new CatalogueIndex(readCatalogue(readFileSync("demo/nursery.csv")).catalogue);
// 21 products of which 12 state no size: common practice, no source.
export const twentyOne = new CatalogueIndex(
  readCatalogue(
    new TextEncoder().encode(
      `product_id,title,size,care,empty,price\n${Array.from({ length: 21 }, (_, i) => `p${i},T${i},${i < 9 ? "S|M".split("|")[i % 2] : ""},pet_safe:${i % 2},,${i === 20 ? 4000 : i + 1}`).join("\n")}\n`,
    ),
  ).catalogue,
);
export const panelOf = (...rows: Row[]): PanelDocument => ({ ...emptyPanel("Trial"), rows });
export const find = (
  index: CatalogueIndex,
  panel: PanelDocument,
  selection: Selection = emptySelection,
  measures: Measures = {},
) => findFindings(new LocalFacts(index), panel, selection, { measures });
const profileOf = (index: CatalogueIndex) => (key: string) => {
  const field = index.field(key);
  return field && profileField(index, field);
};

/** The finding of a kind; after its remedy the panel is valid and the finding is gone. */
export async function mended(
  index: CatalogueIndex,
  panel: PanelDocument,
  kind: Finding["kind"],
  selection: Selection = emptySelection,
  measures: Measures = {},
): Promise<string> {
  const finding = (await find(index, panel, selection, measures)).find((one) => one.kind === kind);
  if (!finding) throw new Error(`There is no finding ${kind}.`);
  if (finding.remedy) {
    const edit = fixEdit(panel, finding, profileOf(index));
    const now = edit ? edited(panel, edit) : panel;
    expect(checkDocument(panelKind, JSON.parse(JSON.stringify(now)))).toEqual(now);
    // Earlier measurements say nothing about a later panel.
    expect((await find(index, now, selection)).filter((one) => one.kind === kind)).toEqual([]);
    // History names what was done, not what was wrong.
    expect(edit?.words.toLowerCase()).toContain(finding.remedy.words.toLowerCase());
  }
  return finding.words;
}
