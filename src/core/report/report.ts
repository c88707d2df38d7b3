import type { Log } from "sarif";
import { findingKinds } from "../findings/findings.ts";
import { pageFindingKinds } from "../findings/page/page-findings.ts";
import type { Checked } from "./check-shop.ts";

/** The file of a finding in a shop's folder. */
export const findingFile = ({ panel }: Checked): string =>
  panel === undefined ? "pages.json" : `panels/${panel}.json`;

/** The place of a finding, in words. */
export const findingPlace = ({ page, panel, row }: Checked): string =>
  [page, panel && `panel ${panel}`, row && `row ${row}`].filter(Boolean).join(", ");

/** Findings one per line, starting with the file, as compilers print them. */
export const asText = (found: readonly Checked[]): string =>
  found
    .map((one) => `${findingFile(one)}: ${one.level}: ${one.words} [${one.kind}]${one.page ? ` (${one.page})` : ""}`)
    .join("\n");

/** Findings as SARIF 2.1.0. Source: OASIS; the types are made from its published schema. */
export function asSarif(found: readonly Checked[]): Log {
  const rules = [...findingKinds, ...pageFindingKinds].map(({ name, level }) => ({
    id: name,
    name,
    shortDescription: { text: name.replaceAll("-", " ") },
    defaultConfiguration: { level },
  }));
  return {
    $schema: "https://docs.oasis-open.org/sarif/sarif/v2.1.0/errata01/os/schemas/sarif-schema-2.1.0.json",
    version: "2.1.0",
    runs: [
      {
        tool: { driver: { name: "trellis", rules } },
        columnKind: "utf16CodeUnits",
        results: found.map((one) => ({
          ruleId: one.kind,
          ruleIndex: rules.findIndex(({ id }) => id === one.kind),
          level: one.level,
          message: { text: one.words },
          locations: [
            {
              physicalLocation: { artifactLocation: { uri: findingFile(one) } },
              ...(findingPlace(one) ? { logicalLocations: [{ fullyQualifiedName: findingPlace(one) }] } : {}),
            },
          ],
        })),
      },
    ],
  };
}

/** Replaces characters that XML cannot contain at all. */
const escaped = (text: string): string =>
  text
    .replaceAll(/[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/g, "\ufffd")
    // biome-ignore lint/suspicious/noControlCharactersInRegex: these are what XML 1.0 has no way to write
    .replaceAll(/[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]/g, "\ufffd")
    .replaceAll("&", "&amp;")
    .replaceAll("<", "&lt;")
    .replaceAll(">", "&gt;")
    .replaceAll('"', "&quot;")
    .replaceAll(/\r?\n|\t/g, " ");

/**
 * Findings as JUnit XML: a suite for panels and one for each page, a case for each finding. Those at or above a level
 * fail; the others pass with a message.
 * @param fails whether a finding fails
 */
export function asJunit(found: readonly Checked[], fails: (one: Checked) => boolean): string {
  const suites = new Map<string, Checked[]>();
  for (const one of found) {
    const name = one.page ?? "panels";
    suites.set(name, [...(suites.get(name) ?? []), one]);
  }
  if (suites.size === 0) suites.set("panels", []);
  const failures = found.filter(fails).length;
  const body = [...suites].map(([name, list]) => {
    const cases = list.map((one) => {
      const open = `    <testcase classname="${escaped(findingFile(one))}" name="${escaped(`${one.kind}: ${findingPlace(one) || "shop"}`)}" time="0">`;
      const inside = fails(one)
        ? `<failure type="${one.level}" message="${escaped(one.words)}"></failure>`
        : `<system-out>${escaped(`${one.level}: ${one.words}`)}</system-out>`;
      return `${open}${inside}</testcase>`;
    });
    return [
      `  <testsuite name="${escaped(name)}" tests="${list.length}" failures="${list.filter(fails).length}" errors="0" time="0">`,
      ...cases,
      "  </testsuite>",
    ].join("\n");
  });
  return `<?xml version="1.0" encoding="UTF-8"?>\n<testsuites name="trellis" tests="${found.length}" failures="${failures}" time="0">\n${body.join("\n")}\n</testsuites>\n`;
}
