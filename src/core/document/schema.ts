import {
  array,
  type InferType,
  type ISchema,
  type Lazy,
  lazy,
  mixed,
  number,
  type ObjectShape,
  object,
  type Schema,
  string,
  ValidationError,
} from "yup";
import { isCleanHtml } from "../sanitize/is-clean-html.ts";
import { isPlain } from "./is-plain.ts";
import { said } from "./json-schema.ts";

/** One of a list of texts, unconverted. */
export const oneOf = <T extends string>(values: readonly T[]) => string<T>().strict().oneOf(values).required();

/** An object with exactly these members. Required by default; `.optional().default(undefined)` makes it optional. */
export const exact = <S extends ObjectShape>(shape: S) => object(shape).noUnknown().strict().required();

/** A list of at most so many. */
export const listOf = <T>(item: ISchema<T>, most: number) => array().of(item).strict().max(most).required();

/** Any text up to a length; the empty one too. */
export const text = (longest: number) => string().strict().max(longest).defined();

/** Rich text up to a length, which has been cleaned. */
export const richText = (longest: number) =>
  text(longest).test(
    "clean",
    ({ path }) => `${path} contains markup that isn’t allowed`,
    (html) => html === undefined || isCleanHtml(html),
  );

/** A text that says something. */
export const someText = (longest: number) => string().strict().min(1).max(longest).required();

/** A finite number between two limits. */
export const numberIn = (min: number, max: number) =>
  number()
    .strict()
    .min(min)
    .max(max)
    .test(
      "finite",
      ({ path }) => `${path} is not a number within range`,
      (value) => value === undefined || value === null || Number.isFinite(value),
    );

/** A whole number between two limits. */
export const wholeIn = (min: number, max: number) => numberIn(min, max).integer();

/** An optional value, undefined if absent. */
type Maybe<T> = T | undefined;

/** An object with any keys and values of one schema. */
export const record = <S extends ISchema<unknown>>(value: S): Lazy<Record<string, InferType<S>>> =>
  lazy((given: unknown) =>
    exact(isPlain(given) ? Object.fromEntries(Object.keys(given).map((name) => [name, value])) : {}),
  ).meta(said((of) => ({ type: "object", additionalProperties: of(value) })));

/** {@link record}, or nothing at all. */
export const optionalRecord = <S extends ISchema<unknown>>(value: S): Lazy<Maybe<Record<string, InferType<S>>>> =>
  lazy(
    (given: unknown): ISchema<Maybe<Record<string, InferType<S>>>> =>
      given === undefined ? mixed<never>().optional() : record(value).resolve({ value: given }),
  ).meta(said((of) => ({ type: "object", additionalProperties: of(value) }), { optional: true }));

/**
 * A value of one of several schemas, selected by a discriminating member. A value without a known text there is
 * checked against the first, so that the fault is reported at that member.
 */
export const byMember = <M extends string, S extends ISchema<unknown>>(
  member: M,
  schemas: Readonly<Record<string, S>>,
): Lazy<InferType<S>> =>
  lazy((given: unknown) => {
    const name = isPlain(given) ? given[member] : undefined;
    const [first] = Object.values(schemas);
    const own = typeof name === "string" && Object.hasOwn(schemas, name) ? schemas[name] : first;
    if (!own) throw new RangeError("There is no schema to choose from.");
    return own;
  }).meta(said((of) => ({ anyOf: Object.values(schemas).map(of) })));

/** A value that is no valid document of its kind; `path` names the first fault, like `rows[2].display.wide`. */
export class InvalidDocument extends Error {
  override name = "InvalidDocument";
  readonly path: string;
  /** The expected kind of value, like “panel”. */
  readonly what: string;
  constructor(what: string, path: string, message: string) {
    super(message);
    this.what = what;
    this.path = path;
  }
}

/** Checks a value against a schema. @throws InvalidDocument */
export function checkValue<T>(what: string, schema: Pick<Schema<T>, "validateSync"> | Lazy<T>, value: unknown): T {
  try {
    return schema.validateSync(value, { abortEarly: true });
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    throw new InvalidDocument(what, error.path ?? "", error.message);
  }
}
