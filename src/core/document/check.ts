import { type ObjectShape, object, type Schema, string, type TestContext, ValidationError } from "yup";

/** One of a list of texts, as it is. */
export const oneOf = <T extends string>(values: readonly T[]) => string<T>().strict().oneOf(values).required();

/** An object with these members and no others. */
export const exact = <S extends ObjectShape>(shape: S) => object(shape).noUnknown().strict();

/** A value that is no valid document of its kind; `path` names the first fault, like `rows[2].display.wide`. */
export class InvalidDocument extends Error {
  override name = "InvalidDocument";
  readonly path: string;
  /** What it should have been, like “panel”. */
  readonly what: string;
  constructor(what: string, path: string, message: string) {
    super(message);
    this.what = what;
    this.path = path;
  }
}

/** The value as a document. @throws InvalidDocument */
export function checkDocument<T>(what: string, schema: Schema, value: unknown): T {
  try {
    return schema.validateSync(value, { abortEarly: true }) as T;
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    throw new InvalidDocument(what, error.path ?? "", error.message);
  }
}

/**
 * A test for members that are told apart by their `kind`: each is checked against the schema of its own,
 * and the fault is told with its place in the whole document.
 */
export function checkKind(kinds: Record<string, Schema>, value: unknown, context: TestContext): true | ValidationError {
  const kind = (value as { kind?: unknown } | null)?.kind;
  const schema = typeof kind === "string" && Object.hasOwn(kinds, kind) ? kinds[kind] : Object.values(kinds)[0];
  try {
    schema.validateSync(value, { abortEarly: true });
    return true;
  } catch (error) {
    const fault = error as ValidationError;
    const path = [context.path, fault.path].filter(Boolean).join(".");
    // Yup names a nested value by its own path only; its place in the document belongs in front.
    const message = fault.path ? fault.message.replace(fault.path, path) : fault.message.replace("this", path);
    return context.createError({ path, message });
  }
}
