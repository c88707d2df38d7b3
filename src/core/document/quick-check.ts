import { type InferType, type ISchema, isSchema, type SchemaDescription, type SchemaFieldDescription } from "yup";

/** Whether a value passes; never true for one that the schema rejects. */
type Passes = (value: unknown) => boolean;

/** The checks by which a schema's texts and numbers are limited, by their names in its description. */
const tests: Readonly<Record<string, (params: Readonly<Record<string, unknown>>) => Passes | undefined>> = {
  min: ({ min }) => (typeof min === "number" ? (value) => sizeOf(value) >= min : undefined),
  max: ({ max }) => (typeof max === "number" ? (value) => sizeOf(value) <= max : undefined),
  required: () => (value) => value !== "",
  integer: () => Number.isInteger,
  finite: () => Number.isFinite,
  matches: ({ regex }) =>
    regex instanceof RegExp ? (value) => typeof value === "string" && regex.test(value) : undefined,
};

const sizeOf = (value: unknown): number =>
  typeof value === "string" || Array.isArray(value) ? value.length : typeof value === "number" ? value : Number.NaN;

/**
 * A check of objects against a schema of strict texts, numbers and lists, faster than the schema's own: made of the
 * schema's description, so that there is one definition. Members of other sorts are left to their own schemas. It may say
 * no to what the schema accepts; ask the schema then.
 */
export function quickCheck<S extends ISchema<unknown>>(schema: S): (value: unknown) => value is InferType<S> {
  const described = schema.describe();
  const passes = described.type === "object" && "fields" in described ? objectCheck(schema, described) : undefined;
  return (value): value is InferType<S> => passes?.(value) === true;
}

function objectCheck(schema: ISchema<unknown>, { fields }: { fields: Readonly<Record<string, unknown>> }): Passes {
  const members = membersOf(schema);
  const checks = new Map(
    Object.entries(fields).map(([name, field]) => [name, memberCheck(members[name], field as SchemaDescription)]),
  );
  const names = [...checks.keys()];
  return (value) => {
    if (typeof value !== "object" || value === null || Array.isArray(value)) return false;
    const object = value as Readonly<Record<string, unknown>>;
    for (const name in object) if (!checks.has(name)) return false;
    return names.every((name) => checks.get(name)?.(object[name]) === true);
  };
}

/** The schemas of an object's members. */
const membersOf = (schema: ISchema<unknown>): Readonly<Record<string, unknown>> =>
  "fields" in schema && typeof schema.fields === "object" && schema.fields !== null
    ? (schema.fields as Readonly<Record<string, unknown>>)
    : {};

const isValid = (schema: ISchema<unknown>, value: unknown): boolean =>
  "isValidSync" in schema && typeof schema.isValidSync === "function" && schema.isValidSync(value) === true;

/** The check of one member; one that is not understood accepts what the schema itself accepts. */
function memberCheck(schema: unknown, described: SchemaFieldDescription): Passes {
  const own: Passes = (value) => isSchema(schema) && isValid(schema, value);
  const { type, tests: named = [], oneOf = [], optional, nullable } = described as SchemaDescription;
  if (type === "lazy" && isLazy(schema)) return lazyCheck(schema);
  if (type === "array" && isSchema(schema) && !nullable) return listCheck(schema, own, described as SchemaDescription);
  if ((type !== "string" && type !== "number") || nullable) {
    // An absent member is asked for most often.
    const mayBeAbsent = own(undefined);
    return (value) => (value === undefined ? mayBeAbsent : own(value));
  }
  const limits = limitsOf(named);
  if (!limits) return own;
  return (value) => {
    if (value === undefined) return optional === true;
    if (typeof value !== type || Number.isNaN(value)) return false;
    return (oneOf.length === 0 || oneOf.includes(value)) && limits(value);
  };
}

/** All limits of a schema as one check; undefined if one of them is not understood. */
function limitsOf(named: SchemaDescription["tests"]): Passes | undefined {
  const checks: Passes[] = [];
  for (const { name = "", params = {} } of named) {
    const check = Object.hasOwn(tests, name) ? tests[name]?.(params) : undefined;
    if (!check) return undefined;
    checks.push(check);
  }
  return (value) => checks.every((check) => check(value));
}

interface LazySchema {
  resolve(options: { value: unknown }): ISchema<unknown>;
}
const isLazy = (schema: unknown): schema is LazySchema =>
  typeof schema === "object" && schema !== null && "resolve" in schema && typeof schema.resolve === "function";

/** The check of a member whose schema depends on its value; each schema that it may have is read once. */
function lazyCheck(lazy: LazySchema): Passes {
  const known = new Map<unknown, Passes>();
  const maxKnown = 20;
  return (value) => {
    const schema = lazy.resolve({ value });
    const check = known.get(schema) ?? memberCheck(schema, schema.describe());
    // A schema that is made anew for every value would only fill the memory.
    if (known.size < maxKnown) known.set(schema, check);
    return check(value);
  };
}

/** The check of a list of strict texts or numbers. */
function listCheck(schema: ISchema<unknown>, own: Passes, described: SchemaDescription): Passes {
  const { tests: named = [], optional } = described;
  const inner = "innerType" in schema ? schema.innerType : undefined;
  const item =
    isSchema(inner) && "innerType" in described && isDescribed(described.innerType)
      ? memberCheck(inner, described.innerType)
      : undefined;
  const limits = limitsOf(named);
  if (!item || !limits) return own;
  return (value) => {
    if (value === undefined) return optional === true;
    return Array.isArray(value) && limits(value) && value.every(item);
  };
}

const isDescribed = (value: unknown): value is SchemaDescription =>
  typeof value === "object" && value !== null && "type" in value;
