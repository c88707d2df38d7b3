/** A typeface shipped with the tool and its handoffs. */
export interface ShippedFont {
  /** Its name in style sheets. */
  family: string;
  /** Its usual name. */
  name: string;
  /** Name of its package, without its scope. */
  package: string;
  /** The fallback while it loads, or for missing letters. */
  fallback: string;
}

/** The typefaces that ship, serifs first. */
export const shippedFonts: readonly ShippedFont[] = [
  { family: "Newsreader Variable", name: "Newsreader", package: "newsreader", fallback: "Georgia, serif" },
  { family: "Literata Variable", name: "Literata", package: "literata", fallback: "Georgia, serif" },
  { family: "Figtree Variable", name: "Figtree", package: "figtree", fallback: "sans-serif" },
  { family: "Karla Variable", name: "Karla", package: "karla", fallback: "sans-serif" },
  { family: "Nunito Variable", name: "Nunito", package: "nunito", fallback: "sans-serif" },
  { family: "Outfit Variable", name: "Outfit", package: "outfit", fallback: "sans-serif" },
  {
    family: "Bricolage Grotesque Variable",
    name: "Bricolage Grotesque",
    package: "bricolage-grotesque",
    fallback: "sans-serif",
  },
  { family: "JetBrains Mono Variable", name: "JetBrains Mono", package: "jetbrains-mono", fallback: "monospace" },
];

/** Generic families, of which every system has one. */
export const systemFonts: readonly { name: string; stack: string }[] = [
  { name: "System sans", stack: "system-ui, sans-serif" },
  { name: "System serif", stack: "Georgia, serif" },
  { name: "System mono", stack: "ui-monospace, monospace" },
];

/** The font stack of a shipped typeface in a look. */
export const stackOf = ({ family, fallback }: ShippedFont): string => `"${family}", ${fallback}`;

/** The families of a stack, without quotes. */
export const familiesIn = (stack: string): string[] =>
  stack.split(",").map((family) => family.trim().replace(/^"(.*)"$/, "$1"));

/** The shipped typefaces named in some CSS. */
export const fontsNamedIn = (css: string): ShippedFont[] =>
  shippedFonts.filter(({ family }) => css.includes(`"${family}"`));
