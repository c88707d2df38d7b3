import { selectOne } from "css-select";
import type { Document, Element } from "domhandler";
import { parseDocument } from "htmlparser2";
import type { SheetRule } from "./sheets.ts";

/** The elements of a page that a look is read from. */
export interface Probe {
  html: Element;
  body: Element;
  heading: Element | undefined;
  paragraph: Element | undefined;
  link: Element | undefined;
  quiet: Element | undefined;
  strong: Element | undefined;
  button: Element | undefined;
  primary: Element | undefined;
  field: Element | undefined;
  line: Element | undefined;
  card: Element | undefined;
}

/** Classes by which style sheets name things, the plainest name first. */
function classesNamed(rules: readonly SheetRule[], pattern: RegExp): string[] {
  const found = new Set<string>();
  for (const { selector } of rules)
    for (const [, name = ""] of selector.matchAll(/\.((?:\\.|[\w-])+)/g)) if (pattern.test(name)) found.add(name);
  return [...found].sort((a, b) => a.length - b.length || a.localeCompare(b));
}

const primaryName = /(?:^|-)(?:primary|main|accent|brand|cta)$/i;

/** A synthetic page of common elements, with the classes that the style sheet uses for them. */
function madeUp(rules: readonly SheetRule[]): string {
  const [button = ""] = classesNamed(rules, /^(?:[a-z]{1,3}-)?(?:btn|button)$/i);
  const primaries = classesNamed(rules, primaryName);
  const primary =
    primaries.find((name) => /btn|button/i.test(name)) ??
    primaries.find((name) => /^(?:is-)?primary$/i.test(name)) ??
    "";
  const [field = ""] = classesNamed(
    rules,
    /^(?:[a-z]{1,3}-)?(?:input|form-control|form-input|form-field|text-?field)$/i,
  );
  const [card = ""] = classesNamed(rules, /^(?:[a-z]{1,3}-)?(?:card|panel|box)$/i);
  const [quiet = ""] = classesNamed(rules, /^(?:[a-z]{1,3}-)?(?:text-)?(?:muted|secondary|grey|gray|subtle)$/i);
  return `<html><head></head><body><main>
    <h1>Shop</h1><h3>Heading</h3><p>Words with <a href="/x">a link</a>, <strong>strong</strong> and
    <small class="${quiet}">quiet</small> ones.</p><hr>
    <form><input type="text" class="${field}"><button type="button" class="${button}">More</button>
    <button type="submit" class="${button} ${primary}">Buy</button></form>
    <div class="${card}">Card</div></main></body></html>`;
}

const one = (selector: string, page: Document): Element | undefined =>
  (selectOne(selector, page) as Element | null) ?? undefined;

/** The elements to read a look from: those of the saved page where it has them, otherwise synthetic ones. */
export function probeOf(rules: readonly SheetRule[], html: string | undefined): Probe {
  const usual = parseDocument(madeUp(rules));
  const saved = html === undefined ? undefined : parseDocument(html);
  const of = (...selectors: string[]): Element | undefined => {
    for (const page of saved ? [saved, usual] : [usual])
      for (const selector of selectors) {
        const found = one(selector, page);
        if (found) return found;
      }
    return undefined;
  };
  const [root, body] = [of("html"), of("body")];
  if (!root || !body) throw new TypeError("A page has a root.");
  const buttons = 'button, [type="submit"], [class*="btn" i], [class*="button" i]';
  return {
    html: root,
    body,
    heading: of("main h3", "h3", "main h2", "h2"),
    paragraph: of("main p", "p"),
    link: of("main p a[href]", "main a[href]", "a[href]"),
    quiet: of("small", "figcaption", '[class*="muted" i]'),
    strong: of("strong", "b"),
    button: of("main button, form button", buttons),
    primary: of(
      '[class*="btn" i][class*="primary" i], [class*="button" i][class*="primary" i], button.primary, button.is-primary',
      '[type="submit"]',
      "main button",
      buttons,
    ),
    field: of('input[type="text"], input[type="search"], input[type="email"], input:not([type])', "select", "textarea"),
    line: of("hr", "table td"),
    card: of('[class*="card" i]', "article"),
  };
}
