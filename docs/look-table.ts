/** Writes docs/styling.md from the parts' own definitions: `npm run docs`. */
import { writeFileSync } from "node:fs";
import { pathToFileURL } from "node:url";
import { emptyLook } from "../src/core/look/empty-look.ts";
import { checkCss } from "../src/core/look/extra-css.ts";
import { shippedFonts } from "../src/core/look/fonts.ts";
import { propertyOf, written } from "../src/core/look/sheet.ts";
import { parts, statesOf, type Token, tokenName, tokens } from "../src/core/look/tokens.ts";
import { states, type TokenType, type TokenValue } from "../src/core/look/value.ts";
import type { Banded } from "../src/core/settings/band.ts";

const groups = [...new Set(Object.values(parts).map(({ group }) => group))];

/** The selectors of a part, one by one. */
const namesIn = (at: string): string[] => at.replace(/^:is\((.*)\)$/, "$1").split(/,\s*/);

/** The written form of each type in a look's file. */
const types: Record<TokenType, [unit: string, example: TokenValue]> = {
  colour: ["a CSS colour", "#1f5c46"],
  length: ["a number of CSS px", 12],
  number: ["a plain number", 1.4],
  weight: ["1 to 1000", 600],
  time: ["a number of ms", 150],
  font: ["names, the wanted one first", "Figtree, sans-serif"],
  shadow: ["lengths in px and a colour", { x: 0, y: 1, blur: 2, spread: 0, colour: "#0000001f" }],
  picture: ["the name of an uploaded picture", "none"],
  choice: ["one of a few words", "chevron"],
};

const cell = (text: string): string => text.replaceAll("|", "\\|");
const code = (text: string): string => (text === "" ? "" : `\`${cell(text)}\``);

function fallbackOf({ type, fallback }: Token): string {
  const spoken = (value: TokenValue | undefined) =>
    value === undefined ? "" : code(typeof value === "object" ? (written({ type }, value)[""] ?? "") : String(value));
  const { wide, ...narrower } = fallback as Banded<TokenValue>;
  const others = Object.entries(narrower).map(([band, value]) => `${band} ${spoken(value)}`);
  return [spoken(wide), ...others].filter(Boolean).join(", ");
}

/** The rows of one part: a property with its custom property, what it is until a look changes it, and its states. */
function partRows(name: string): string[] {
  const part = parts[name];
  if (!part) return [];
  return Object.entries(part.properties).flatMap(([property, definition]) => {
    const token = tokens.get(tokenName(name, property));
    if (!token) return [];
    const differs = statesOf(part, definition).filter((state) => state !== "rest");
    const kind = token.choices ? Object.keys(token.choices).join(", ") : token.type;
    return [
      `| ${definition.label} | ${code(propertyOf(token.name))} | ${kind} | ${fallbackOf(token)} | ${differs.join(", ")} |`,
    ];
  });
}

const example = `& .zt-tile {
  letter-spacing: 0.02em;
}
& .zt-tile:has(:checked) {
  box-shadow: inset 0 -2px 0 var(--zt-accent);
}
`;

/** The page as it should be. @throws where its own example would not be taken */
export function stylingPage(): string {
  const faults = checkCss(example);
  if (faults.length > 0) throw new Error(`The example is not taken: ${faults.map(({ reason }) => reason).join(" ")}`);
  const named = Object.entries(parts).filter(([, { at }]) => at !== "");
  return `# Styling

Written from the parts' own definitions by \`npm run docs\`; a test holds it true. ${Object.keys(parts).length} parts have ${tokens.size} tokens.

## How a look is applied

Everything that can be seen is a token, and each token is a custom property: \`tile.ground.chosen\` is \`${propertyOf("tile.ground.chosen")}\`. What a look does not set is as the tables say; what a state does not set is as in the state before it (${states.join(", ")}); what a narrower band does not set is as on the wider one. A value in braces follows another token.

The style sheet is written in cascade layers, later ones winning: \`base\` (the structure), \`parts\` (tokens put on parts), \`displays\`, \`look\` (what the shop's, a panel's and a facet's look set), \`custom\` (extra CSS). A look's file has the format ${emptyLook("").format}:

| type | written as | example |
|---|---|---|
${Object.entries(types)
  .map(([type, [unit, shown]]) => `| ${type} | ${unit} | ${code(JSON.stringify(shown))} |`)
  .join("\n")}

Fonts that ship: ${shippedFonts.map(({ family }) => family).join(", ")}. Any other is used where the shopper's device or the shop has it.

## Extra CSS

It is applied last, and only inside of the panel: \`&\` is the panel's own element; a rule without it is about what stands in the panel. The classes below are stable names. Refused, with the line and the reason: \`@import\`, other hosts, what could run, and whatever would leave the panel.

\`\`\`css
${example}\`\`\`

| part | stable name |
|---|---|
${named.map(([, { label, at }]) => `| ${label} | ${namesIn(at).map(code).join(", ")} |`).join("\n")}

One facet is \`[data-row="…"]\` with its row's name, one panel \`[data-of="…"]\` with its own.

## Tokens
${groups
  .map(
    (group) => `
### ${group}
${Object.entries(parts)
  .filter(([, part]) => part.group === group)
  .map(
    ([name, { label }]) => `
**${label}**

| property | custom property | type | by itself | differs when |
|---|---|---|---|---|
${partRows(name).join("\n")}
`,
  )
  .join("")}`,
  )
  .join("")}`;
}

if (process.argv[1] && import.meta.url === pathToFileURL(process.argv[1]).href)
  writeFileSync("docs/styling.md", stylingPage());
