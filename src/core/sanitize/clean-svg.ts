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
/** Addresses may only point inside the picture itself. */
const foreign = /url\(\s*['"]?(?!#)|javascript:|data:/i;
/** Functions that a value may call. Whatever fetches by another name than `url` is none of them. */
const functions = /^(?:url|rgba?|hsla?|hwb|lab|lch|oklab|oklch|translate|scale|rotate|matrix|skewX|skewY)$/i;

/** Whether a value can lead nowhere: spelled out, since an escape or a comment can hide what it calls, and with known functions alone. */
const isPlain = (value: string): boolean =>
  !/\\|\/\*/.test(value) && !foreign.test(value) && calledIn(value).every((name) => functions.test(name));

/** The names in front of each opening bracket of a value. */
function calledIn(value: string): string[] {
  const names: string[] = [];
  for (let end = value.indexOf("("); end >= 0; end = value.indexOf("(", end + 1)) {
    let start = end;
    // No known function has a longer name, and reading all of it each time would take long.
    while (start > 0 && end - start < 40 && /[\w-]/.test(value[start - 1] ?? "")) start--;
    names.push(value.slice(start, end));
  }
  return names;
}

/** How deep groups of a picture may stand within each other. */
const deepest = 100;

/** Whether elements stand deeper within each other than anything that is drawn: cleaning them would take the square of it. */
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
  // In pieces, since a parser that is paused still goes through what it was given.
  for (let from = 0; from < text.length && !isDeeper; from += 4096) parser.write(text.slice(from, from + 4096));
  return isDeeper;
}

/** Elements that a picture may draw, those that it uses again counted each time. */
const mostDrawn = 20_000;

/**
 * An SVG with shapes only: no scripts, no handlers, no style sheets, nothing from elsewhere. Undefined if it is no
 * SVG, or one that draws more than a browser does in a moment.
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
  const isSvg = /^<svg[\s>][\s\S]*<\/svg>$/.test(cleaned) && drawnElements(cleaned) <= mostDrawn;
  return isSvg ? withNamespace(cleaned) : undefined;
}

const withNamespace = (svg: string): string =>
  /^<svg[^>]*\sxmlns=/.test(svg) ? svg : svg.replace(/^<svg/, '<svg xmlns="http://www.w3.org/2000/svg"');
