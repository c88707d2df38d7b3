import { hashOf } from "../hash.ts";
import { all, any } from "./sql.ts";

/**
 * A condition: of a product, or of a variant where it reads columns that vary. There each of them stands for the list of
 * one variant.
 */
export interface Condition {
  sql: string;
  /** The columns that vary among those that it reads. */
  columns: readonly Varying[];
}

/** A list of one value for each variant, by the name that conditions read it by. */
interface Varying {
  name: string;
  sql: string;
}

const varying = (column: string): Varying => ({ name: column, sql: column });

/**
 * The requirements of a match on a product: all conditions, those of variants on one and the same variant; and each of
 * `each` together with these, on whichever variant.
 */
export interface Scope {
  conditions: readonly Condition[];
  each: readonly Condition[];
}

/** A condition of a product. */
export const ofProduct = (sql: string): Condition => ({ sql, columns: [] });
/** Holds for nothing. */
export const never: Condition = ofProduct("0");

const columnsIn = (conditions: readonly Condition[]): Varying[] => [
  ...new Map(conditions.flatMap(({ columns }) => columns.map((one) => [one.name, one] as const))).values(),
];

/** Applies a function to conditions on each variant. */
function onVariants(
  name: "arrayExists" | "arrayMap" | "arrayFilter",
  conditions: readonly Condition[],
  first?: string,
): string {
  const columns = columnsIn(conditions).filter((one) => one.name !== first);
  const read = first === undefined ? columns : [varying(first), ...columns];
  const sql = all(conditions.map((one) => one.sql));
  return `${name}((${read.map((one) => one.name).join(", ")}) -> ${sql}, ${read.map((one) => one.sql).join(", ")})`;
}

/** A condition for products with a variant that meets some conditions at once. */
export const someVariant = (conditions: readonly Condition[]): string =>
  columnsIn(conditions).length === 0 ? all(conditions.map(({ sql }) => sql)) : onVariants("arrayExists", conditions);

/** The conditions of a scope that a single variant must meet. */
export const variantConditions = ({ conditions }: Scope): Condition[] =>
  conditions.filter(({ columns }) => columns.length > 0);

/** A condition for the products of a scope. */
export function matching(scope: Scope): string {
  const together = variantConditions(scope);
  return all([
    ...scope.conditions.filter(({ columns }) => columns.length === 0).map(({ sql }) => sql),
    ...(together.length > 0 ? [someVariant(together)] : []),
    ...scope.each.map((one) => someVariant([...together, one])),
  ]);
}

/** For each variant of a product whether it meets a scope's conditions, as an expression. @param column any list of variants */
export function fitting(scope: Scope, column: string): string {
  const together = variantConditions(scope);
  return together.length === 0 ? `arrayMap(x -> 1, ${column})` : onVariants("arrayMap", together);
}

/** The values in a column of a product's variants that meet a scope's conditions, without repeats, as an expression. */
export function fittingValues(scope: Scope, column: string, varies: boolean): string {
  if (!varies) return column;
  const together = variantConditions(scope);
  return `arrayReduce('groupUniqArrayArray', ${together.length === 0 ? column : onVariants("arrayFilter", together, column)})`;
}

/**
 * A condition for one of some conditions: of variants if one of them is. Those of products are read from a list then as
 * well: functions inside a statement can't read a product's own columns in version 18.16.
 */
export function anyOf(some: readonly Condition[]): Condition {
  const varied = columnsIn(some);
  const [list] = varied;
  if (!list) return ofProduct(any(some.map(({ sql }) => sql)));
  const listed = some.map(({ sql, columns }): Condition => {
    if (columns.length > 0) return { sql, columns };
    const name = `c${hashOf(sql).slice(0, 16)}`;
    return {
      sql: name,
      columns: [{ name, sql: `arrayResize([toUInt8(${sql})], length(${list.sql}), toUInt8(${sql}))` }],
    };
  });
  return { sql: any(listed.map(({ sql }) => sql)), columns: columnsIn(listed) };
}

/** A condition on one column, which may vary. */
export const onColumn = (sql: string, column: string, varies: boolean): Condition => ({
  sql,
  columns: varies ? [varying(column)] : [],
});
