import * as csstree from "css-tree";
import { isOwnAddress } from "./own-address.ts";

/**
 * Rewrites CSS so that it applies only below one element. Nothing is copied as typed: every rule, selector, value and
 * address is written from the parsed tree, using an allow list. A nested rule becomes a rule of its own with complete
 * selectors, so that each selector in the result starts with the root.
 */

/** Why a node is refused. */
export interface Refusal {
  node: csstree.CssNode;
  reason: string;
}

/** Selectors of a rule as written, and whether they match only elements inside the root. */
interface Scope {
  selectors: readonly string[];
  isInside: boolean;
}

interface Written {
  css: string;
  refusals: Refusal[];
}

/** Maximum total length of the written selectors, in characters. */
const longestOutput = 1_000_000;

const groups = new Set(["media", "supports", "container"]);
/** Functions that take addresses, and their other possible arguments. */
const pictures = /^(?:-webkit-)?(?:image-set|image|cross-fade)$/i;
const inPictures =
  /^(?:type|calc|(?:-webkit-)?(?:repeating-)?(?:linear|radial|conic)-gradient|rgba?|hsla?|oklch|oklab|lab|lch|color)$/i;
const unknown = /^(?:element|paint|src)$/i;
/** The allowed kinds of tokens in a value. */
const known: ReadonlySet<string> = new Set([
  ...["Value", "Identifier", "Number", "Dimension", "Percentage", "Hash", "String", "Url", "Function", "Parentheses"],
  ...["Brackets", "Operator", "UnicodeRange", "Raw", "Ratio", "Comment", "WhiteSpace", "Combinator"],
]);

/** @param root a selector for the element; @returns the allowed CSS, and what is refused */
export function containCss(tree: csstree.StyleSheet, root: string): Written {
  const refusals: Refusal[] = [];
  const own = namesIn(tree);
  const refuse = (node: csstree.CssNode, reason: string) => refusals.push({ node, reason });
  const faces: string[] = [];
  let size = 0;
  const rules = writeRules(tree.children.toArray(), { selectors: [root], isInside: false }, true);
  return { css: `${faces.join("\n")}@layer custom {\n${rules.join("")}\n}\n`, refusals };

  function writeRules(nodes: readonly csstree.CssNode[], scope: Scope, isTop: boolean): string[] {
    const written: string[] = [];
    let declarations: string[] = [];
    const flush = () => {
      if (declarations.length > 0) written.push(`${scope.selectors.join(",")}{${declarations.join(";")}}`);
      declarations = [];
    };
    for (const node of nodes) {
      if (node.type === "Comment") continue;
      if (node.type === "Declaration" && !isTop) {
        const declaration = writeDeclaration(node);
        if (declaration !== undefined) declarations.push(declaration);
        continue;
      }
      flush();
      if (node.type === "Rule") written.push(...writeRule(node, scope, isTop));
      else if (node.type === "Atrule") written.push(...writeAtrule(node, scope, isTop));
      else refuse(node, "This is not a rule or a declaration.");
    }
    flush();
    return written;
  }

  function writeRule(rule: csstree.Rule, scope: Scope, isTop: boolean): string[] {
    if (rule.prelude.type !== "SelectorList") {
      refuse(rule.prelude, "This is not a selector.");
      return [];
    }
    const selectors: string[] = [];
    let isInside = true;
    for (const selector of rule.prelude.children.toArray()) {
      const below = selector.type === "Selector" ? writeSelector(selector, scope, isTop) : undefined;
      if (!below) continue;
      selectors.push(below.selector);
      isInside &&= below.isInside;
    }
    return selectors.length === 0 ? [] : writeRules(rule.block.children.toArray(), { selectors, isInside }, false);
  }

  /** A complete selector, starting with those of the enclosing rules. */
  function writeSelector(
    selector: csstree.Selector,
    scope: Scope,
    isTop: boolean,
  ): { selector: string; isInside: boolean } | undefined {
    const [first, ...others] = selector.children.toArray();
    const refused = (reason: string) => void refuse(selector, reason);
    if (!first) return refused("This is not a selector.");
    const rest = first.type === "NestingSelector" ? others : [first, ...others];
    let nesting: csstree.CssNode | null = null;
    for (const one of rest) nesting ??= csstree.find(one, ({ type }) => type === "NestingSelector" || type === "Raw");
    if (nesting) return refused("“&” means the panel. Use it at the start only.");
    if (first.type === "Combinator" && isTop)
      return refused("A selector can’t begin with a combinator. Begin with & or a part.");
    const [leading] = rest;
    const combinators = rest.filter((one) => one.type === "Combinator").map(({ name }) => name);
    if (first.type !== "NestingSelector" && leading?.type !== "Combinator") combinators.unshift(" ");
    for (const name of combinators) if (!/^[ >+~]$/.test(name)) return refused(`“${name}” is not a combinator of CSS.`);
    // Sibling combinators are safe only below the root.
    const down = combinators.findIndex((name) => name === " " || name === ">");
    const sideways = combinators.findIndex((name) => name === "+" || name === "~");
    if (!scope.isInside && sideways >= 0 && (down < 0 || sideways < down))
      return refused("This selector reaches elements outside the panel.");
    const [only = ""] = scope.selectors;
    // Each level of nesting repeats the enclosing selectors.
    if (scope.selectors.reduce((sum, { length }) => sum + length, size) > longestOutput)
      return refused("Too many nested rules. Write some of them side by side.");
    const parent = scope.selectors.length === 1 ? only : `:is(${scope.selectors.join(",")})`;
    const text = csstree.generate({ type: "Selector", children: new csstree.List<csstree.CssNode>().fromArray(rest) });
    size += parent.length + text.length;
    const isGlued = first.type === "NestingSelector" || leading?.type === "Combinator";
    return { selector: isGlued ? parent + text : `${parent} ${text}`, isInside: scope.isInside || down >= 0 };
  }

  function writeAtrule(rule: csstree.Atrule, scope: Scope, isTop: boolean): string[] {
    const name = rule.name.toLowerCase();
    const block = rule.block?.children.toArray();
    if (!block) return [];
    if (groups.has(name)) {
      const prelude = rule.prelude ? csstree.generate(rule.prelude) : "";
      if (!isPlainPrelude(prelude)) {
        refuse(rule, `The condition of this @${name} can’t be read.`);
        return [];
      }
      return [`@${name} ${prelude}{${writeRules(block, scope, isTop).join("")}}`];
    }
    if (name === "keyframes" && isTop) {
      const prelude = rule.prelude ? csstree.generate(rule.prelude) : "";
      const steps = block.flatMap((step) => {
        if (step.type !== "Rule") return [];
        const at = csstree.generate(step.prelude);
        if (!/^(?:from|to|[\d.]+%)(?:,(?:from|to|[\d.]+%))*$/i.test(at)) return [];
        return [`${at}{${declarationsOf(step.block).join(";")}}`];
      });
      return own.animations.has(unquoted(prelude))
        ? [`@keyframes ${own.animations.get(unquoted(prelude))}{${steps.join("")}}`]
        : [];
    }
    if (name === "font-face" && isTop && rule.block) {
      faces.push(`@font-face{${declarationsOf(rule.block).join(";")}}`);
      return [];
    }
    refuse(rule, `@${rule.name} can’t be used here.`);
    return [];
  }

  function declarationsOf(block: csstree.Block): string[] {
    return block.children
      .toArray()
      .flatMap((node) => (node.type === "Declaration" ? (writeDeclaration(node) ?? []) : []));
  }

  function writeDeclaration(node: csstree.Declaration): string | undefined {
    const property = node.property.toLowerCase();
    const faults = valueFaults(node);
    refusals.push(...faults);
    if (faults.length > 0) return undefined;
    const value = csstree.clone(node.value) as csstree.Value | csstree.Raw;
    // Names shared by the whole document get a prefix, so that they replace nobody else's.
    csstree.walk(value, (inner) => {
      if (inner.type === "Identifier" && /^animation(?:-name)?$/.test(property))
        inner.name = own.animations.get(inner.name) ?? inner.name;
      if (inner.type === "String" && property === "font")
        inner.value = own.families.get(inner.value.toLowerCase()) ?? inner.value;
    });
    if (property === "font-family" && value.type === "Value") renameFamilies(value, own.families);
    return `${property.startsWith("--") ? node.property : property}:${csstree.generate(value)}${node.important ? "!important" : ""}`;
  }
}

/** Why a value can’t be written. */
function valueFaults(node: csstree.Declaration): Refusal[] {
  const refusals: Refusal[] = [];
  const refuse = (at: csstree.CssNode, reason: string) => refusals.push({ node: at, reason });
  if (!/^(?:--[\w-]+|-?[a-z][a-z-]*)$/i.test(node.property)) refuse(node, "This is not a property name.");
  csstree.walk(node.value, (inner) => {
    if (inner.type === "Url" && !isOwnAddress(String(inner.value))) refuse(inner, ownReason(String(inner.value)));
    if (!known.has(inner.type)) refuse(inner, "This isn’t allowed in a value.");
    if (inner.type === "Raw" && /[{};]/.test(withoutStrings(inner.value)))
      refuse(inner, "Braces and semicolons aren’t allowed in a value.");
    if (inner.type === "Raw" && isFetching(inner.value))
      refuse(inner, "Addresses aren’t allowed in custom properties. Write the address where it is used.");
    if (inner.type !== "Function") return;
    if (/^expression$/i.test(inner.name)) refuse(inner, "expression( ) could run code and isn’t allowed.");
    if (unknown.test(inner.name)) refuse(inner, `${inner.name}( ) isn’t allowed.`);
    if (!pictures.test(inner.name)) return;
    csstree.walk(inner, (one) => {
      if (one.type === "String" && !isOwnAddress(one.value) && !isTypeName(one.value))
        refuse(one, ownReason(one.value));
      if (
        one.type === "Raw" ||
        (one.type === "Function" && one !== inner && !inPictures.test(one.name) && !pictures.test(one.name))
      )
        refuse(one, `${inner.name}( ) can contain addresses and gradients only.`);
    });
  });
  return refusals;
}

const isTypeName = (text: string): boolean => /^image\/[\w.+-]{1,40}$/.test(text);

/** Whether an unparsed text could make the browser fetch something. */
const isFetching = (text: string): boolean =>
  /(?:^|[^\w-])(?:url|src|image-set|-webkit-image-set|image|cross-fade|-webkit-cross-fade|element|paint)\s{0,20}\(/i.test(
    text,
  ) || /javascript\s{0,20}:/i.test(text);

export const ownReason = (address: string): string =>
  /^\s*javascript:/i.test(address)
    ? "An address that runs code isn’t allowed."
    : "Use addresses of the shop itself, beginning with /, or pictures as data:image.";

/** A text without its quoted parts, as browsers tokenize it. */
function withoutStrings(text: string): string {
  let rest = "";
  csstree.tokenize(text, (type, from, to) => {
    if (csstree.tokenNames[type] !== "string-token") rest += text.slice(from, to);
  });
  return rest;
}

/** Whether a condition can be copied: words, numbers and comparisons in brackets. */
const isPlainPrelude = (text: string): boolean => /^[\w\s().,:<>=/%*+#"'-]*$/.test(text) && !isFetching(text);

const unquoted = (text: string): string => text.replace(/^["']|["']$/g, "");

/** Names that a style sheet defines for the whole document, each with its prefixed form. */
function namesIn(tree: csstree.StyleSheet): { animations: Map<string, string>; families: Map<string, string> } {
  const animations = new Map<string, string>();
  const families = new Map<string, string>();
  csstree.walk(tree, {
    visit: "Atrule",
    enter(node) {
      const name = node.name.toLowerCase();
      const prelude = node.prelude ? unquoted(csstree.generate(node.prelude)) : "";
      if (name === "keyframes" && /^[\w-]{1,100}$/.test(prelude)) animations.set(prelude, `custom-${prelude}`);
      if (name !== "font-face" || !node.block) return;
      for (const one of node.block.children.toArray())
        if (one.type === "Declaration" && one.property.toLowerCase() === "font-family" && one.value.type === "Value")
          for (const part of partsOf(one.value)) families.set(familyOf(part), `${familyOf(part)} (custom)`);
    },
  });
  return { animations, families };
}

/** The families of a list, each as its nodes. */
function partsOf({ children }: csstree.Value): csstree.CssNode[][] {
  const parts: csstree.CssNode[][] = [[]];
  for (const node of children.toArray())
    if (node.type === "Operator" && node.value === ",") parts.push([]);
    else parts.at(-1)?.push(node);
  return parts;
}

/** A family's name as browsers compare it. */
const familyOf = (part: readonly csstree.CssNode[]): string =>
  part
    .map((node) => (node.type === "String" ? node.value : csstree.generate(node)))
    .join(" ")
    .toLowerCase();

function renameFamilies(value: csstree.Value, families: ReadonlyMap<string, string>): void {
  const parts = partsOf(value).map((part): csstree.CssNode[] => {
    const own = families.get(familyOf(part));
    return own === undefined ? part : [{ type: "String", value: own }];
  });
  value.children = new csstree.List<csstree.CssNode>().fromArray(
    parts.flatMap((part, at) => (at === 0 ? part : [{ type: "Operator", value: "," }, ...part])),
  );
}
