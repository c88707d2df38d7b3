import type { ISchema, Schema } from "yup";
import { checkValue, InvalidDocument } from "./schema.ts";

/** Caches of a shop that depend on its documents. */
export type CacheName = "catalogue" | "swatches";

/** A document of an older format: what is known of it is that it says which. */
export type OldDocument = Record<string, unknown> & { format: number };

/**
 * A kind of document that a shop has. Saving, history, conflicts, opening, a shop's files, editions, backups, JSON
 * Schemas and differences are written once for all kinds, and know of one only what its definition says.
 */
export interface DocumentKind<D extends object, Many extends boolean = boolean, Member extends string = string> {
  /** In addresses and in the database. */
  name: string;
  /** In sentences, like “panel”. */
  what: string;
  /** Title of its JSON Schema. */
  title: string;
  /** Where its differences are listed under, like “Panel”; of many, followed by the name of one. */
  heading: string;
  /**
   * Its member in a whole shop, and where it is among a shop's files: the folder with a file for each of many, or the
   * name of its one file.
   */
  member: Member;
  /** Its one document stands in `shop.json`, and has no file of its own. Not by default. */
  inManifest?: true;
  /** A shop has any number of them, each with a name and an address of its own, or exactly one. */
  many: Many;
  /** The format that this code writes. */
  format: number;
  schema: ISchema<D> & Pick<Schema<D>, "validateSync">;
  /** By the format that they start from, the steps that lead to the next one. */
  migrations: Readonly<Record<number, (old: OldDocument) => OldDocument>>;
  /** A document as it is until it is changed. @param name for a kind of which there are many */
  fresh(name: string): D;
  /** The caches that a change of one of this kind empties. */
  touches: readonly CacheName[];
  /** The part of a document that they are worked out of; all of it where this is absent. */
  touching?(document: D): unknown;
  /** The changes between two documents of it, each in a sentence without a full stop. @param nameOf a field as shoppers read it */
  differences(before: D, after: D, nameOf: (field: string) => string): Iterable<string>;
}

/** A document of any older format, in the present one. @throws InvalidDocument when it is of none, or of a newer one */
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

/** The value as a document of a kind, brought up to date. @throws InvalidDocument with the path of the first fault */
export const checkDocument = <D extends object>(kind: DocumentKind<D>, value: unknown): D =>
  checkValue(kind.what, kind.schema, upToDate(kind, value));
