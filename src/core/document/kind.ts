import type { ISchema, Schema } from "yup";
import { checkValue, InvalidDocument } from "./schema.ts";

/** Caches of a shop that depend on its documents. */
export type CacheName = "catalogue" | "swatches";

/** A document of an older format, of which only the format number is known. */
export type OldDocument = Record<string, unknown> & { format: number };

/**
 * A kind of document in a shop. Saving, history, conflicts, opening, files, editions, backups, JSON Schemas and
 * differences are written once for all kinds, and rely on this definition only.
 */
export interface DocumentKind<D extends object, Many extends boolean = boolean, Member extends string = string> {
  /** Name in addresses and in the database. */
  name: string;
  /** In sentences, like “panel”. */
  what: string;
  /** Title of its JSON Schema. */
  title: string;
  /** Heading of its differences, like “Panel”; for kinds with many documents, followed by the document's name. */
  heading: string;
  /**
   * Its member in a whole shop, and its place among a shop's files: a folder with a file per document, or the name of
   * the one file.
   */
  member: Member;
  /** Its one document is part of `shop.json` and has no file of its own. Default: it has. */
  inManifest?: true;
  /** Whether a shop has any number of them, each with a name and an address of its own, or exactly one. */
  many: Many;
  /** The format that this code writes. */
  format: number;
  schema: ISchema<D> & Pick<Schema<D>, "validateSync">;
  /** Migrations to the next format, by the format they start from. */
  migrations: Readonly<Record<number, (old: OldDocument) => OldDocument>>;
  /** A new document. @param name for a kind with many documents */
  fresh(name: string): D;
  /** The caches cleared by a change of one of this kind. */
  touches: readonly CacheName[];
  /** The part of a document on which those caches depend; default: all of it. */
  touching?(document: D): unknown;
  /**
   * The changes between two documents, each as a sentence without a full stop.
   * @param nameOf the label of a field for shoppers
   */
  differences(before: D, after: D, nameOf: (field: string) => string): Iterable<string>;
}

/**
 * Migrates a document of any older format to the present one.
 * @throws InvalidDocument if its format is unknown or newer
 */
export function upToDate<D extends object>(kind: DocumentKind<D>, stored: unknown): unknown {
  let document = stored;
  for (let turns = 0; turns < kind.format && isVersioned(document) && document.format < kind.format; turns++) {
    const step = kind.migrations[document.format];
    if (!step) break;
    document = step(document);
  }
  if (isVersioned(document) && document.format > kind.format)
    throw new InvalidDocument(
      kind.what,
      "format",
      `its format is ${document.format}, but this version reads formats up to ${kind.format}`,
    );
  return document;
}

const isVersioned = (value: unknown): value is OldDocument =>
  typeof value === "object" && value !== null && "format" in value && typeof value.format === "number";

/**
 * A value as a valid document of a kind, migrated to the present format.
 * @throws InvalidDocument with the path of the first fault
 */
export const checkDocument = <D extends object>(kind: DocumentKind<D>, value: unknown): D =>
  checkValue(kind.what, kind.schema, upToDate(kind, value));
