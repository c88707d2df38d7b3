import * as csstree from "css-tree";
import { lineFinder, sentence } from "../document/words.ts";
import { containCss, ownReason } from "./contain-css.ts";

/** Something in the designer's CSS that is refused, or that browsers ignore. */
export interface CssFault {
  /** It is refused; otherwise it is only a warning. */
  error: boolean;
  /** From 1. */
  line: number;
  column: number;
  /** Places in the text, from 0. */
  from: number;
  to: number;
  reason: string;
}

/** Maximum length in characters, and maximum nesting of blocks and brackets. */
export const maxCssLength = 100_000;
const deepest = 30;

const allowedRules = new Set(["media", "supports", "container", "keyframes", "font-face"]);

/** Finds the faults in the designer's CSS. CSS without errors can be used with {@link containedCss}. */
export function checkCss(text: string): CssFault[] {
  const faults: CssFault[] = [];
  const at = lineFinder(text);
  const fault = (error: boolean, from: number, to: number, reason: string) =>
    faults.push({ error, ...at(from), from, to, reason });
  if (text.length > maxCssLength) {
    fault(
      true,
      maxCssLength,
      text.length,
      `This CSS has ${text.length} characters; the limit is ${maxCssLength}. Shorten it.`,
    );
    return faults;
  }
  checkTokens(text, fault);
  // Blocks that are too deep or not closed are not examined further.
  if (faults.some(({ error }) => error)) return faults;
  const tree = parsed(text, (error) =>
    fault(true, error.offset ?? 0, (error.offset ?? 0) + 1, `${sentence(error.message)}`),
  );
  checkTree(tree, fault);
  for (const { node, reason } of containCss(tree, ":root").refusals) {
    const { start, end } = node.loc ?? { start: { offset: 0 }, end: { offset: 0 } };
    fault(true, start.offset, end.offset, reason);
  }
  return faults.sort((a, b) => a.from - b.from);
}

type Report = (error: boolean, from: number, to: number, reason: string) => void;

function parsed(text: string, onParseError: (error: { message: string; offset?: number }) => void = () => {}) {
  return csstree.parse(text, {
    positions: true,
    parseCustomProperty: false,
    onParseError: (error) => onParseError(error as unknown as { message: string; offset?: number }),
  }) as csstree.StyleSheet;
}

/** Checks tokens without parsing: brackets match, nothing too deep, no escapes, nothing that closes the element. */
function checkTokens(text: string, fault: Report): void {
  const open: { close: string; from: number }[] = [];
  const closers: Record<string, string> = { "{": "}", "(": ")", "[": "]" };
  csstree.tokenize(text, (type, from, to) => {
    const token = text.slice(from, to);
    const name = csstree.tokenNames[type];
    if (name === "bad-string-token") fault(true, from, to, "This quoted text isn’t closed on its line.");
    else if (name === "bad-url-token")
      fault(
        true,
        from,
        to,
        /javascript\s*:/i.test(token)
          ? ownReason("javascript:")
          : "This url( ) isn’t closed, or contains characters that aren’t allowed.",
      );
    else if (name !== "string-token" && name !== "comment-token" && token.includes("\\"))
      fault(true, from, to, "Backslashes are allowed in quoted text only.");
    const opens = name === "function-token" ? "(" : token;
    const close = closers[opens];
    if (close !== undefined) {
      open.push({ close, from });
      if (open.length === deepest + 1) fault(true, from, to, `More than ${deepest} blocks or brackets are nested.`);
    } else if (token === "}" || token === ")" || token === "]") {
      const last = open.pop();
      if (last?.close !== token) fault(true, from, to, `This “${token}” has nothing to close.`);
    }
  });
  for (const { close, from } of open) fault(true, from, from + 1, `The closing “${close}” is missing.`);
  const comment = text.lastIndexOf("/*");
  if (comment >= 0 && !text.slice(comment).includes("*/"))
    fault(true, comment, comment + 2, "This comment isn’t closed.");
  for (const match of text.matchAll(/<(?=[/!])/g))
    fault(
      true,
      match.index,
      match.index + 2,
      "“</” and “<!” could end the style sheet. Put a space between the characters.",
    );
}

function checkTree(tree: csstree.StyleSheet, fault: Report): void {
  const report = (error: boolean, node: csstree.CssNode, reason: string) =>
    fault(error, node.loc?.start.offset ?? 0, node.loc?.end.offset ?? 0, reason);
  csstree.walk(tree, function visit(node) {
    switch (node.type) {
      case "Atrule":
        if (!allowedRules.has(csstree.keyword(node.name).basename))
          report(true, node, `@${node.name} isn’t allowed: ${atruleReason(node.name)}`);
        else if (
          /keyframes$/i.test(node.name) &&
          /^(?:zt|zs)-/i.test(node.prelude ? csstree.generate(node.prelude) : "")
        )
          report(true, node, "Names that begin with zt- or zs- belong to the tool. Use a different name.");
        break;
      case "Rule":
        if (this.atrule && /keyframes$/i.test(this.atrule.name)) break;
        if (this.rule === null || this.rule === node) findOutside(node, report);
        break;
      case "Declaration":
        if (this.atrule?.name.toLowerCase() !== "font-face") checkDeclaration(node, report);
        break;
    }
  });
}

function atruleReason(name: string): string {
  switch (name.toLowerCase()) {
    case "import":
      return "it would load a different style sheet; paste its rules here instead.";
    case "layer":
      return "this CSS is already in the last layer.";
    case "charset":
    case "namespace":
      return "it has no effect here; leave it out.";
    default:
      return "only @media, @supports, @container, @keyframes and @font-face are.";
  }
}

function checkDeclaration(
  node: csstree.Declaration,
  report: (error: boolean, node: csstree.CssNode, reason: string) => void,
): void {
  const property = node.property.toLowerCase();
  const value = csstree.generate(node.value);
  if (property === "behavior" || property === "-moz-binding") {
    report(true, node, `${node.property} could run code and isn’t allowed.`);
    return;
  }
  if (property === "position" && /fixed|var\(/i.test(value)) {
    report(true, node, "position: fixed could cover the page. Use sticky or absolute.");
    return;
  }
  if (property.startsWith("--")) return;
  if (value.includes("var(")) return;
  const { error } = csstree.lexer.matchProperty(property, node.value);
  if (!error) return;
  const known = csstree.lexer.getProperty(property) !== null;
  report(
    false,
    node,
    known
      ? `“${value}” is not a value of ${property} that browsers know.`
      : `Browsers don’t know the property ${property}.`,
  );
}

/** Warns of top-level selectors that refer to elements around the panel. */
function findOutside(
  rule: csstree.Rule,
  report: (error: boolean, node: csstree.CssNode, reason: string) => void,
): void {
  if (rule.prelude.type !== "SelectorList") return;
  rule.prelude.children.forEach((selector) => {
    const around = csstree.find(
      selector,
      (node) =>
        (node.type === "TypeSelector" && /^(?:html|body)$/i.test(node.name)) ||
        (node.type === "PseudoClassSelector" && node.name === "root"),
    );
    if (around) report(false, selector, `“${csstree.generate(around)}” is outside the panel and matches nothing here.`);
  });
}

/**
 * The designer's CSS limited to the elements matched by a selector and their contents, in the last layer. Every
 * selector starts there, since it is written from the parsed tree, whatever the text was.
 * @returns nothing if there is an error
 */
export function containedCss(text: string, root: string): string {
  if (text.trim() === "" || checkCss(text).some(({ error }) => error)) return "";
  const { css, refusals } = containCss(parsed(text), root);
  return refusals.length > 0 ? "" : css;
}
