import { Random } from "../demo/random.ts";
import { checkCss, containedCss } from "../src/core/look/extra-css.ts";

/** Where foreign style sheets would fetch from. */
export const foreignHost = "evil.example";
const addresses = [
  ...[
    "/own.png",
    "own.png",
    "#a",
    `//${foreignHost}/a.png`,
    `https://${foreignHost}/b.png`,
    `/\\9 /${foreignHost}/c.png`,
  ],
  ...[
    `/\\a/${foreignHost}/d.png`,
    `\\2f\\2f ${foreignHost}/e.png`,
    `/\t/${foreignHost}/f.png`,
    `/\\\\${foreignHost}/g.png`,
  ],
  ...["data:image/png;base64,AAAA", `http:\\\\${foreignHost}/h.png`, `ht\\\ntps://${foreignHost}/i.png`],
];
const parts = ["&", ".zt-a", "*", "body", "html", ":root", "#out", "div", "a", ":has(&)", ":is(&)", ":not(.zt-a)"];
const pseudo = [
  "",
  ":hover",
  "::before",
  ":has(*)",
  ":has(+ *)",
  ":is(body)",
  ":not(&)",
  ":where(& ~ *)",
  ":first-child",
  "::part(x)",
];
const combinators = [" ", ">", "+", "~", " > ", "||", ",", ", ", "|"];
const properties = [
  "color",
  "background",
  "background-image",
  "--x",
  "--y",
  "cursor",
  "content",
  "animation",
  "animation-name",
];
const others = [
  "font-family",
  "display",
  "opacity",
  "visibility",
  "list-style",
  "mask-image",
  "border-image",
  "filter",
  "src",
];

/** Style sheets made at random of the grammar's own parts, sound and broken ones. */
export function randomCss(seed: number): string {
  const random = new Random(seed);
  const next = () => random.next();
  const one = <T>(list: readonly T[]): T => random.pick(list) as T;
  // Most sheets are nearly sound, so that what is written of them is tried, and not only what is refused.
  const wild = seed % 4 === 0 ? 1 : 0.12;
  const url = (): string => {
    const address = one(addresses);
    return one([
      `url(${address})`,
      `url("${address}")`,
      `url('${address}')`,
      `image-set("${address}" 1x)`,
      `u\\72l(${address})`,
    ]);
  };
  const value = (depth = 0): string => {
    if (next() > wild)
      return one([
        "red",
        "rgb(9 8 7)",
        "none",
        "0.3",
        "url(/own.png)",
        "var(--x, blue)",
        '"Outside", serif',
        "spin 1s",
      ]);
    const inner = () => (depth < 3 ? value(depth + 1) : "red");
    return one<() => string>([
      () => "red",
      () => "none !important",
      url,
      url,
      () => `var(${one(["--x", "--y"])})`,
      () => `var(--x, ${inner()})`,
      () => `"${one(addresses)}"`,
      () => `image-set(${one([url(), "var(--x)", `"${one(addresses)}"`, inner()])} 1x)`,
      () => `-webkit-image-set(${inner()} 1x, ${inner()} 2x)`,
      () => `cross-fade(${inner()}, ${inner()})`,
      () => `image(${inner()})`,
      () => `linear-gradient(${inner()}, blue)`,
      () => "spin 1s",
      () => '"Outside", serif',
      () => `{ ${inner()} }`,
      () => `has(&) { display: none }`,
      () => `calc(1px + ${inner()})`,
    ])();
  };
  const selector = (): string => {
    const step = () =>
      next() > wild
        ? one([".zt-a", "*", "div", "a", "body", "#out"]) + one(["", ":hover", "::before"])
        : one(parts) + one(pseudo);
    let text = next() > wild ? one(["& ", "", "&"]) + one([".zt-a", "*", "a", ""]) : step();
    while (next() < 0.5) text += one(next() > wild ? [" ", ">", ","] : combinators) + step();
    return text;
  };
  const declaration = () => `${one([...properties, ...others])}: ${value()}`;
  const body = (depth: number): string => {
    const lines: string[] = [];
    while (next() < 0.7 && lines.length < 5)
      lines.push(depth < 4 && next() < 0.4 ? rule(depth + 1) : `${declaration()};`);
    return lines.join(" ");
  };
  const rule = (depth: number): string => {
    if (next() > wild) return `${selector()} { ${body(depth)} }`;
    return one<() => string>([
      () => `${selector()} { ${body(depth)} }`,
      () => `${selector()} { ${body(depth)} }`,
      () => `${selector()} { ${body(depth)} }`,
      () => `@media ${one(["all", "(width > 1px)", "print, all", "not print"])} { ${rule(depth + 1)} }`,
      () => `@supports ${one(["(color: red)", "selector(&)", "not (x: y)"])} { ${rule(depth + 1)} }`,
      () => `@container ${one(["(width > 1px)", "x (width > 1px)"])} { ${rule(depth + 1)} }`,
      () =>
        `@keyframes ${one(["spin", '"spin"', "zt-x"])} { from { ${declaration()} } 50% { ${declaration()} } to { color: red } }`,
      () => `@font-face { font-family: ${one(["Outside", '"Outside"'])}; src: ${url()} }`,
      () => `@import ${url()};`,
      () => `@layer base { ${selector()} { ${declaration()} } }`,
      () => `@scope (body) { ${selector()} { ${declaration()} } }`,
      () => `@starting-style { ${selector()} { ${declaration()} } }`,
      () => one(["}", "{", "*/", "/*", "<!--", "</style>", ";", '"', "\\"]),
    ])();
  };
  let css = "";
  while (next() < 0.75) css += `${rule(0)}\n`;
  return css;
}

/**
 * The part of a random style sheet that gets onto a page: as it is where nothing in it is refused, otherwise rule by
 * rule.
 */
export function containedOf(seed: number, root: string): string[] {
  const css = randomCss(seed);
  const whole = containedCss(css, root);
  if (whole !== "" || css.trim() === "") return [whole];
  return css
    .split("\n")
    .flatMap((rule) => (checkCss(rule).some(({ error }) => error) ? [] : [containedCss(rule, root)]));
}
