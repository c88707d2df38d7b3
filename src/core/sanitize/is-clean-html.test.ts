import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { cleanHtml } from "./clean-html.ts";
import { isCleanHtml, richTextTags } from "./is-clean-html.ts";

const tags = [...richTextTags.keys()];
const foreign = ["div", "script", "style", "h1", "img", "svg", "table", "td", "textarea", "title", "P"];
const addresses = [
  "https://a.example/x?y=1&z=2",
  "HTTPS://A",
  "http://",
  "https://[::",
  "/a b",
  "/%zz",
  "?&lt",
  "#x",
  "mailto:a@b",
  "tel:1",
  "//evil.example",
  "javascript:x()",
  "/\t",
  "/<x>",
  '?a="b"',
  "/&#106;",
  "",
];
const escaped = (text: string) =>
  text.replaceAll("&", "&amp;").replaceAll("<", "&lt;").replaceAll(">", "&gt;").replaceAll('"', "&quot;");
const link = fc.constantFrom(...addresses);
const words = fc.oneof(
  fc.constantFrom("word", "two words", "&amp;", "&lt;", "&gt;", "\u00a0", "\n", '"', "'"),
  fc.string({ maxLength: 4 }),
);

/** Pieces in any order. */
const shreds = fc.array(
  fc.oneof(
    fc.constantFrom(...tags, ...foreign).map((tag) => `<${tag}>`),
    fc.constantFrom(...tags, ...foreign).map((tag) => `</${tag}>`),
    fc.constantFrom("<br />", "<br/>", "</br>", "<p >", "<p class=x>", "<a", "</", "<", ">", "&", "&quot;", "&nbsp;"),
    fc.constantFrom("&#0;", "&ampx", "<!-- x -->", "<![CDATA[x]]>", "<!doctype html>", "<?x?>", "\u0000", "\ud800"),
    link.map((address) => `<a href="${address}">`),
    link.map((address) => `<a href='${address}'>`),
    link.map((address) => `<a href="${escaped(address)}">`),
    words,
  ),
  { maxLength: 12 },
);

/** Elements within each other, as an editor writes them. */
const { nested } = fc.letrec<{ nested: string }>((tie) => ({
  nested: fc.oneof(
    { depthSize: "small" },
    words,
    fc.constant("<br />"),
    fc
      .tuple(fc.constantFrom(...tags), fc.array(tie("nested"), { maxLength: 3 }))
      .map(([tag, inner]) => (tag === "br" ? "<br />" : `<${tag}>${inner.join("")}</${tag}>`)),
    fc
      .tuple(link, fc.array(tie("nested"), { maxLength: 2 }))
      .map(([address, inner]) => `<a href="${escaped(address)}">${inner.join("")}</a>`),
  ),
}));

/** Held against sanitize-html, of which it is the short way to one answer. */
describe("rich text", () => {
  const agrees = (html: string) => isCleanHtml(html) === (cleanHtml(html) === html);

  it("is clean exactly when cleaning leaves it as it is, whatever is written", () => {
    fc.assert(
      fc.property(shreds, (all) => agrees(all.join("")) && isCleanHtml(cleanHtml(all.join("")))),
      { numRuns: 3000 },
    );
  });

  it("is clean after it has been cleaned, also where a broken tag changes how the others nest", () => {
    const link = '<a href="/a">';
    expect(cleanHtml(`${link}<a><A</a>${link}</a></a>`)).toBe(`${link}</a><a></a>${link}</a>`);
  });

  it("is clean exactly when cleaning leaves it as it is, in elements within each other", () => {
    let clean = 0;
    fc.assert(
      fc.property(nested, (html) => {
        if (isCleanHtml(html)) clean += 1;
        return agrees(html) && isCleanHtml(cleanHtml(html));
      }),
      { numRuns: 3000 },
    );
    expect(clean).toBeGreaterThan(500);
  });
});
