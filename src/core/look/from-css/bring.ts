import { selectAll } from "css-select";
import { isTag } from "domhandler";
import { textContent } from "domutils";
import { parseDocument } from "htmlparser2";
import type { Brought } from "./read-look.ts";
import type { Sheet } from "./sheets.ts";

/** A file as it was brought. */
export interface ImportedFile {
  name: string;
  text: string;
}

/** The combined files, and the style sheets that a page uses but that are missing. */
export interface Together extends Brought {
  missing: string[];
}

const isPage = ({ name, text }: ImportedFile): boolean =>
  /\.html?$/i.test(name) || /^\s*<(?:!doctype|html)/i.test(text);
const lastPart = (address: string): string => address.split(/[?#]/, 1)[0]?.split("/").at(-1) ?? "";

/** Combines files: a saved page's own rules and the style sheets it uses, in its order, then the others. */
export function together(files: readonly ImportedFile[]): Together {
  const page = files.find(isPage);
  const loose = files.filter((file) => !isPage(file));
  const sheets: Sheet[] = [];
  const missing: string[] = [];
  if (page)
    for (const element of selectAll('style, link[rel~="stylesheet"]', parseDocument(page.text).childNodes)) {
      if (!isTag(element)) continue;
      if (element.name === "style") {
        sheets.push({ name: `${page.name}, its own rules`, css: textContent(element) });
        continue;
      }
      const address = lastPart(element.attribs.href ?? "");
      const at = loose.findIndex(({ name }) => lastPart(name) === address);
      const [found] = at < 0 ? [] : loose.splice(at, 1);
      if (found) sheets.push({ name: found.name, css: found.text });
      else if (address) missing.push(address);
    }
  for (const { name, text } of loose) sheets.push({ name, css: text });
  return { sheets, html: page?.text, missing };
}
