import { Parser } from "htmlparser2";
import sanitizeHtml from "sanitize-html";
import { drawnElements } from "./svg-size.ts";

const shapes = [
  "svg",
  "g",
  "path",
  "rect",
  "circle",
  "ellipse",
  "line",
  "polyline",
  "polygon",
  "defs",
  "linearGradient",
  "radialGradient",
  "stop",
  "clipPath",
  "mask",
  "pattern",
  "symbol",
  "use",
  "title",
  "desc",
  "text",
  "tspan",
];
const attributes = [
  "viewBox",
  "width",
  "height",
  "x",
  "y",
  "x1",
  "y1",
  "x2",
  "y2",
  "cx",
  "cy",
  "r",
  "rx",
  "ry",
  "d",
  "points",
  "fill",
  "fill-rule",
  "fill-opacity",
  "stroke",
  "stroke-width",
  "stroke-linecap",
  "stroke-linejoin",
  "stroke-dasharray",
  "stroke-opacity",
  "opacity",
  "transform",
  "id",
  "offset",
  "stop-color",
  "stop-opacity",
  "gradientUnits",
  "gradientTransform",
  "patternUnits",
  "patternTransform",
  "clip-path",
  "clip-rule",
  "mask",
  "preserveAspectRatio",
  "xmlns",
  "font-family",
  "font-size",
  "font-weight",
  "text-anchor",
];
/** References outside the picture. */
const foreign = /url\(\s*['"]?(?!#)|javascript:|data:/i;
/** Functions allowed in a value. Any other function that fetches is excluded. */
const functions = /^(?:url|rgba?|hsla?|hwb|lab|lch|oklab|oklch|translate|scale|rotate|matrix|skewX|skewY)$/i;

/**
 * Whether a value can fetch nothing: it has no escapes or comments that could hide a function, and calls only allowed
 * ones.
 */
const isPlain = (value: string): boolean =>
  !/\\|\/\*/.test(value) && !foreign.test(value) && calledIn(value).every((name) => functions.test(name));

/** The names before each opening bracket of a value. */
function calledIn(value: string): string[] {
  const names: string[] = [];
  for (let end = value.indexOf("("); end >= 0; end = value.indexOf("(", end + 1)) {
    let start = end;
    // No allowed function has a longer name, and reading further back would take quadratic time.
    while (start > 0 && end - start < 40 && /[\w-]/.test(value[start - 1] ?? "")) start--;
    names.push(value.slice(start, end));
  }
  return names;
}

/** Maximum nesting of elements in a picture. */
const deepest = 100;

/** Whether elements are nested deeper than allowed: sanitizing them would take quadratic time. */
function isNestedDeeper(text: string, most: number): boolean {
  let [depth, isDeeper] = [0, false];
  const parser = new Parser(
    {
      onopentag() {
        if (++depth <= most) return;
        isDeeper = true;
        parser.pause();
      },
      onclosetag() {
        depth--;
      },
    },
    { xmlMode: true },
  );
  // In pieces, since a paused parser still processes the whole chunk it was given.
  for (let from = 0; from < text.length && !isDeeper; from += 4096) parser.write(text.slice(from, from + 4096));
  return isDeeper;
}

/** Maximum number of drawn elements, counting reused ones each time. */
const maxDrawn = 20_000;

/**
 * Sanitizes an SVG: shapes only, without scripts, handlers, style sheets or external references. Undefined if it isn't
 * an SVG, or would take a browser too long to draw.
 */
export function cleanSvg(text: string): string | undefined {
  if (isNestedDeeper(text, deepest)) return undefined;
  const cleaned = sanitizeHtml(text, {
    parser: { xmlMode: true },
    allowedTags: shapes,
    allowedAttributes: { "*": attributes, use: ["href"] },
    allowedSchemes: [],
    nonTextTags: ["script", "style", "foreignObject", "textarea", "option", "noscript"],
    transformTags: {
      "*": (tagName, attribs) => ({
        tagName,
        attribs: Object.fromEntries(
          Object.entries(attribs).filter(
            ([name, value]) => isPlain(value) && (name !== "href" || value.startsWith("#")),
          ),
        ),
      }),
    },
  }).trim();
  const isSvg = /^<svg[\s>][\s\S]*<\/svg>$/.test(cleaned) && drawnElements(cleaned) <= maxDrawn;
  return isSvg ? withNamespace(cleaned) : undefined;
}

const withNamespace = (svg: string): string =>
  /^<svg[^>]*\sxmlns=/.test(svg) ? svg : svg.replace(/^<svg/, '<svg xmlns="http://www.w3.org/2000/svg"');
