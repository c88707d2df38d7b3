import * as csstree from "css-tree";

/** A declaration of a style sheet and its place. */
export interface Found {
  file: string;
  line: number;
  selector: string;
  property: string;
  value: string;
  important: boolean;
  order: number;
  specificity: number;
}

/** A selector with the declarations of its rule. */
export interface SheetRule {
  selector: string;
  /** The selector without pointer and focus states; undefined if it has none. */
  state: "hover" | "focus" | undefined;
  declarations: Found[];
}

/** A style sheet to be read. */
export interface Sheet {
  name: string;
  css: string;
}

/** Maximum length of a style sheet, in characters. */
export const maxSheetLength = 5_000_000;
/** Page width for which a shop's style sheet is read, in CSS px. */
const width = 1280;

/** A style sheet that cannot be read. */
export class SheetFault extends Error {
  override name = "SheetFault";
}

/** Whether a media query matches on a wide screen in light mode. */
function holds(query: string): boolean {
  return query.split(",").some((one) => {
    if (
      /\bprint\b|\bspeech\b|prefers-color-scheme:\s*dark|prefers-reduced|prefers-contrast|forced-colors|\bnot\b/.test(
        one,
      )
    )
      return false;
    const px = (match: RegExpExecArray | null) => (match ? Number(match[1]) * (match[2] === "px" ? 1 : 16) : undefined);
    const from = px(/(?:min-width:|width\s*>=?)\s*([\d.]+)(px|r?em)/.exec(one));
    const to = px(/(?:max-width:|width\s*<=?)\s*([\d.]+)(px|r?em)/.exec(one));
    return (from === undefined || width >= from) && (to === undefined || width <= to);
  });
}

/** Specificity as one number. Source: Selectors Level 4, by counting a selector's parts. */
function specificityOf(selector: csstree.CssNode): number {
  let [ids, classes, names] = [0, 0, 0];
  csstree.walk(selector, function count(node) {
    if (node.type === "PseudoClassSelector" && node.name === "where") return csstree.walk.skip;
    if (node.type === "IdSelector") ids++;
    else if (node.type === "ClassSelector" || node.type === "AttributeSelector") classes++;
    else if (node.type === "PseudoClassSelector" && !["is", "not", "has", "where"].includes(node.name)) classes++;
    else if (node.type === "TypeSelector" && node.name !== "*") names++;
    return undefined;
  });
  return ids * 1_000_000 + classes * 1000 + names;
}

const statePattern = /:(hover|focus-visible|focus-within|focus)\b(?![-\w(])/g;

/** The rules of style sheets in order, as far as they apply on a wide page. @throws SheetFault */
export function sheetRules(sheets: readonly Sheet[]): SheetRule[] {
  const rules: SheetRule[] = [];
  let order = 0;
  for (const { name, css } of sheets) {
    if (css.length > maxSheetLength)
      throw new SheetFault(`${name} has ${css.length} characters; the limit is ${maxSheetLength}.`);
    if (tooDeep(css))
      throw new SheetFault(`${name} has more than 100 brackets inside each other, which no style sheet needs.`);
    const tree = csstree.parse(css, { positions: true, parseCustomProperty: false });
    const media: boolean[] = [];
    csstree.walk(tree, {
      enter: (node: csstree.CssNode) => {
        if (node.type === "Atrule") {
          const kind = csstree.keyword(node.name).basename;
          const prelude = node.prelude ? csstree.generate(node.prelude) : "";
          media.push(kind === "media" ? holds(prelude) : ["layer", "supports", "container"].includes(kind));
        }
        if (node.type !== "Rule" || media.includes(false) || node.prelude.type !== "SelectorList") return;
        const declarations = node.block.children.toArray().filter((one) => one.type === "Declaration");
        node.prelude.children.forEach((selector) => {
          const text = csstree.generate(selector);
          const specificity = specificityOf(selector);
          const [, state] = statePattern.exec(text) ?? [];
          statePattern.lastIndex = 0;
          rules.push({
            selector: text.replace(statePattern, ""),
            state: state === undefined ? undefined : state === "hover" ? "hover" : "focus",
            declarations: declarations.map((one) => ({
              file: name,
              line: one.loc?.start.line ?? 1,
              selector: text,
              property: one.property.toLowerCase(),
              value: csstree.generate(one.value).trim(),
              important: Boolean(one.important),
              order: order++,
              specificity,
            })),
          });
        });
      },
      leave: (node: csstree.CssNode) => {
        if (node.type === "Atrule") media.pop();
      },
    });
  }
  return rules;
}

/** Whether brackets are nested so deep that parsing would overflow the stack. */
function tooDeep(css: string): boolean {
  let [depth, deepest] = [0, 0];
  for (const character of css) {
    if ("({[".includes(character)) deepest = Math.max(deepest, ++depth);
    else if (")}]".includes(character)) depth = Math.max(0, depth - 1);
  }
  return deepest > 100;
}
