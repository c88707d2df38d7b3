/** Writes docs/displays.md from the displays' own definitions: `npm run docs`. */
import { writeFileSync } from "node:fs";
import { pathToFileURL } from "node:url";
import { readCatalogue } from "../src/core/catalogue/read.ts";
import { commonSettings } from "../src/core/displays/display.ts";
import { displays } from "../src/core/displays/displays.ts";
import { CatalogueIndex } from "../src/core/engine/index/catalogue-index.ts";
import { spoken } from "../src/core/panel/edit.ts";
import { type FieldProfile, profileField } from "../src/core/profile/profile.ts";
import { settingDefinition } from "../src/core/settings/setting-definitions.ts";
import { type SettingName, settingNames } from "../src/core/settings/settings.ts";

/** A field of each kind, with values made up so that only its kind matters. */
const columns: [name: string, cell: (row: number) => string][] = [
  ["few words", (row) => ["Oak", "Ash", "Elm", "Yew", "Fir"][row % 5]],
  ["many words", (row) => `Maker ${row % 600}`],
  ["yes / no", (row) => (row % 2 ? "yes" : "no")],
  ["number", (row) => String(10 + row)],
  ["rating", (row) => String(1 + (row % 41) / 10)],
  ["date", (row) => new Date(Date.UTC(2026, 0, 1 + (row % 300))).toISOString().slice(0, 10)],
  ["category", (row) => `Wood > ${["Oak", "Ash"][row % 2]} > Grade ${row % 3}`],
];

function profiles(): [string, FieldProfile][] {
  const rows = Array.from({ length: 700 }, (_, row) =>
    [`p${row}`, `T${row}`, ...columns.map(([, cell]) => cell(row))].join(","),
  );
  const header = [
    "product_id",
    "title",
    ...columns.map(([name]) => (name === "category" || name === "rating" ? name : `"${name}"`)),
  ].join(",");
  const index = new CatalogueIndex(readCatalogue(new TextEncoder().encode([header, ...rows].join("\n"))).catalogue);
  return columns.map(([name]) => {
    const field = index.catalogue.fields.find((one) => one.name.toLowerCase() === name);
    if (!field) throw new Error(`The specimen has no field “${name}”.`);
    return [name, profileField(index, field)];
  });
}

/** The page as it should be. */
export function displayTable(): string {
  const fields = profiles();
  const list = Object.values(displays);
  const label = (name: SettingName) => settingDefinition(name).label.toLowerCase();
  const suits = list.map(
    ({ label: shown, modes, unsuited }) =>
      `| ${shown} | ${modes.join(", ")} | ${fields.map(([, profile]) => (unsuited(profile) === undefined ? "yes" : "–")).join(" | ")} |`,
  );
  const heeded = list.map(
    ({ label: shown, settings }) =>
      `| ${shown} | ${settingNames
        .filter((name) => settings.includes(name))
        .map(label)
        .join(", ")} |`,
  );
  const reasons = list.flatMap(({ label: shown, unsuited }) =>
    fields.flatMap(([name, profile]) => {
      const reason = unsuited(profile);
      return reason === undefined ? [] : [`| ${shown} | ${name} | ${reason} |`];
    }),
  );
  const settings = settingNames.map((name) => {
    const { about, fallback, banded } = settingDefinition(name);
    return `| ${label(name)} | ${about} | ${spoken(name, fallback)} | ${banded ? "yes" : ""} |`;
  });
  return `# Displays

Written from the displays' own definitions by \`npm run docs\`; a test holds it true.

## Which fields they suit

Modes are how choices combine: any-of, all-of, one-of, a range, a tree. Specimens: five words, 600 words, yes and no, 700 numbers, ratings of 1 to 5, 300 days, categories of three levels.

| display | modes | ${fields.map(([name]) => name).join(" | ")} |
|---|---|${fields.map(() => "---").join("|")}|
${suits.join("\n")}

## Why not

| display | field | what the designer reads |
|---|---|---|
${reasons.join("\n")}

## Which settings they heed

All heed ${commonSettings.map(label).join(", ")}.

| display | settings |
|---|---|
${heeded.join("\n")}

## The settings

| setting | what it does | default | by band |
|---|---|---|---|
${settings.join("\n")}
`;
}

if (process.argv[1] && import.meta.url === pathToFileURL(process.argv[1]).href)
  writeFileSync("docs/displays.md", displayTable());
