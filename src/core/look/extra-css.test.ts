import { transform } from "lightningcss";
import { describe, expect, it } from "vitest";
import { checkCss, containedCss, maxCssLength } from "./extra-css.ts";

const root = ':is([data-of="p"])';
const errors = (css: string) => checkCss(css).filter(({ error }) => error);
const put = (css: string) => containedCss(css, root).replace(/\s+/g, " ");

/** The selectors of a sheet as an independent parser reads them. */
function selectorsOf(css: string): string[] {
  const found: string[] = [];
  transform({
    filename: "x.css",
    code: new TextEncoder().encode(css),
    visitor: {
      Rule: {
        style(rule) {
          for (const selector of rule.value.selectors) found.push(JSON.stringify(selector));
          return rule;
        },
      },
    },
  });
  return found;
}

describe("extra CSS", () => {
  it("begins every selector in the panel, in the last layer", () => {
    expect(put(".zt-tile, a b { color: red }")).toBe(`@layer custom { ${root} .zt-tile,${root} a b{color:red} } `);
    expect(put("& { color: red } &:hover > .zt-x { top: 0 }")).toContain(`${root}:hover>.zt-x{top:0}`);
    expect(put("@media (width < 600px) { .a { .b & { top: 0 } } }")).toBe("");
    expect(put(".a { &:hover { color: red } & .b { color: blue } & + .c { top: 0 } }")).toContain(
      `${root} .a:hover{color:red}${root} .a .b{color:blue}${root} .a+.c{top:0}`,
    );
    expect(put(".a, .b { top: 0; @media print { & > i { top: 1px } } left: 0 }")).toContain(
      `${root} .a,${root} .b{top:0}@media print{:is(${root} .a,${root} .b)>i{top:1px}}${root} .a,${root} .b{left:0}`,
    );
    // Names shared by the whole document are prefixed.
    expect(put(".a { animation: turn 1s } @keyframes turn { from { top: 0 } to { top: 1px } }")).toContain(
      "animation:custom-turn 1s}@keyframes custom-turn{from{top:0}to{top:1px}}",
    );
    expect(put('.a { font-family: Own, serif } @font-face { font-family: "Own"; src: url(/o.woff2) }')).toContain(
      '.a{font-family:"own (custom)",serif}',
    );
    // Selectors that would match the whole page match nothing inside a panel.
    expect(put("html, body, :root { color: red }")).toContain(`${root} html,${root} body,${root} :root{`);
    expect(checkCss("body { color: red }")).toEqual([
      expect.objectContaining({
        error: false,
        line: 1,
        reason: "“body” is outside the panel and matches nothing here.",
      }),
    ]);
    expect(put('@font-face { font-family: "Own"; src: url(/own.woff2) }')).toMatch(/^@font-face/);
  });

  it.each([
    ["@import 'x.css';", /load a different style sheet/],
    ["@import url(//elsewhere.example/x.css);", /load a different style sheet/],
    ["@layer base { a { top: 0 } }", /the last layer/],
    ["@namespace svg url(http://www.w3.org/2000/svg);", /has no effect here/],
    ["@charset 'utf-8';", /has no effect here/],
    ["@property --x { syntax: '*'; inherits: false }", /only @media/],
    [".a { background: url(https://elsewhere.example/x.png) }", /addresses of the shop itself/],
    [".a { background: url(//elsewhere.example/x.png) }", /addresses of the shop itself/],
    ['.a { background: url("\\2f\\2f elsewhere.example") }', /addresses of the shop itself/],
    [".a { background: u\\72l(https://elsewhere.example) }", /Backslashes/],
    [".a { background: image-set('https://elsewhere.example/x.png' 1x) }", /addresses of the shop itself/],
    [".a { background: -webkit-image-set(url(https://elsewhere.example/x.png) 1x) }", /addresses of the shop itself/],
    [".a { --x: url(https://elsewhere.example) }", /Addresses aren’t allowed in custom properties/],
    [".a { background: url(data:text/html,<b>) }", /shop itself|not closed|end the style sheet/],
    [".a { background: url(data:image/svg+xml;base64,PHN2Zz4=) }", /addresses of the shop itself/],
    [".a { background: url(javascript:alert(1)) }", /runs code/],
    ['.a { background: url("javascript:alert(1)") }', /runs code/],
    [".a { width: expression(alert(1)) }", /could run/],
    [".a { behavior: url(/x.htc) }", /could run/],
    [".a { -moz-binding: url(/x.xml) }", /could run/],
    [".a { position: fixed }", /cover the page/],
    [".a { --p: fixed; position: var(--p) }", /cover the page/],
    [".a { color: red", /closing “}” is missing/],
    [".a { color: red }}", /has nothing to close/],
    ["} body { color: red } .x {", /has nothing to close/],
    ['.a { content: "x', /isn’t closed|closing “}” is missing/],
    ['.a { content: "x\n" }', /isn’t closed/],
    ["/* a", /comment isn’t closed/],
    ["</style><script>alert(1)</script>", /end the style sheet/],
    ["<!-- .a { color: red } -->", /end the style sheet/],
    ["& + .x { color: red }", /reaches elements outside the panel/],
    ["& ~ * { color: red }", /reaches elements outside the panel/],
    ["& { & + .x { color: red } }", /reaches elements outside the panel/],
    ["html & { color: red }", /at the start only/],
    [":is(&, body) { color: red }", /at the start only/],
    [":not(&) { color: red }", /at the start only/],
    ["> .x { color: red }", /combinator|expected/i],
    ['.a { background: url("/\\9 /elsewhere.example/x.png") }', /addresses of the shop itself/],
    ["@font-face { font-family: x; src: url('/\\a/elsewhere.example/x') }", /addresses of the shop itself|closed/],
    [".a { --x: '//elsewhere.example/x.png'; background: image-set(var(--x) 1x) }", /addresses and gradients only/],
    [".a { background: image-set(attr(data-x) 1x) }", /addresses and gradients only/],
    [".a { background: cross-fade(env(x), url(/a.png)) }", /addresses and gradients only/],
    ["& { &, body:has(&) { display: none } }", /at the start only/],
    ["& { &:hover { & ~ * { display: none } } }", /reaches elements outside the panel/],
    ["& { + * { display: none } }", /not a rule or a declaration/],
    ["& { color: red; body:has(&) { display: none } }", /Braces|only stand|no value|expected/i],
    [".a { color: red; b:hover { c: d } { e: f } }", /./],
    ["@keyframes zt-in { from { top: 0 } }", /belong to the tool/],
  ])("refuses %s, with line and reason", (css, reason) => {
    const [first] = errors(`\n${css}`);
    expect(first?.reason).toMatch(reason);
    expect(first?.line).toBe(2);
    expect(containedCss(css, root)).toBe("");
  });

  it("is read in no time, however long, deep or broken it is", () => {
    expect(errors("a{".repeat(200_000))[0]?.reason).toContain(`the limit is ${maxCssLength}`);
    expect(errors("a{".repeat(40_000))[0]?.reason).toMatch(/More than 30|closing “}” is missing/);
    expect(errors("(".repeat(50_000)).length).toBeGreaterThan(0);
    expect(errors(":is(".repeat(20_000)).length).toBeGreaterThan(0);
    expect(errors("/*".repeat(40_000)).length).toBeGreaterThan(0);
  });

  it("warns of what browsers do not know, and takes it all the same", () => {
    const [colour, property] = checkCss(".a { color: blurple; colr: red }");
    expect(colour).toMatchObject({ error: false, reason: "“blurple” is not a value of color that browsers know." });
    expect(property).toMatchObject({ error: false, reason: "Browsers don’t know the property colr." });
    expect(checkCss(".a { color: var(--zt-accent); gap: 4px; inset-inline: 0 }")).toEqual([]);
  });

  it("is the same to an independent parser: every selector begins with the panel", () => {
    const css = containedCss(
      "& { color: red } .zt-tile:hover, a > b { top: 0 } @media print { .x { top: 0 } } @supports (color: red) { .y, & .z { top: 0 } }",
      root,
    );
    const selectors = selectorsOf(css);
    expect(selectors).toHaveLength(6);
    for (const selector of selectors)
      expect(selector).toMatch(/^\[\{"type":"pseudo-class","kind":"is","selectors":\[\[\{"type":"attribute"/);
  });
});
