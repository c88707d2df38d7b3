import { findNodeAtLocation, type Node, type ParseError, parseTree, printParseErrorCode } from "jsonc-parser";
import { limits } from "../sanitize/limits.ts";
import { isTooDeep } from "./json-depth.ts";
import { lineFinder } from "./words.ts";

/** A text that is no JSON. */
export class JsonFault extends Error {
  override name = "JsonFault";
  readonly line: number;
  constructor(message: string, line: number) {
    super(message);
    this.line = line;
  }
}

/** Parsed JSON that knows the line of each value. */
export interface JsonText {
  root: Node;
  lineAt(offset: number): number;
}

/** @throws JsonFault */
export function parseJsonText(text: string): JsonText {
  const place = lineFinder(text);
  const lineAt = (offset: number) => place(offset).line;
  if (isTooDeep(text)) throw new JsonFault(`Brackets are nested more than ${limits.jsonDepth.max} levels deep.`, 1);
  const errors: ParseError[] = [];
  const root = parseTree(text, errors);
  const [error] = errors;
  if (error) {
    const words = printParseErrorCode(error.error).replaceAll(
      /(?<=[a-z])[A-Z]/g,
      (letter) => ` ${letter.toLowerCase()}`,
    );
    throw new JsonFault(`This is not valid JSON: ${words}.`, lineAt(error.offset));
  }
  if (!root) throw new JsonFault("The file is empty.", 1);
  return { root, lineAt };
}

/** The line of the value at a path such as `rows[2].display.wide`, or of its nearest existing ancestor. */
export function lineOfPath({ root, lineAt }: JsonText, path: string): number {
  const parts = [...path.matchAll(/\["([^"]*)"\]|\[(\d+)\]|([^.[\]]+)/g)].map(([, quoted, index, name]) =>
    index === undefined ? (quoted ?? name ?? "") : Number(index),
  );
  for (let length = parts.length; length > 0; length--) {
    const node = findNodeAtLocation(root, parts.slice(0, length));
    if (node) return lineAt(node.parent?.type === "property" ? node.parent.offset : node.offset);
  }
  return lineAt(root.offset);
}
