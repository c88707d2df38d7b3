import { idsIn, wordsIn } from "../../core/engine/local-engine.ts";
import type { Question } from "../../core/engine/question.ts";
import { bestMatch, pickedOrder, sortKeys } from "../../core/engine/sort-keys.ts";
import { fittingValues, type Scope } from "./conditions.ts";
import type { Scopes } from "./scope.ts";
import { uints } from "./sql.ts";
import { columnsOf } from "./stored-catalogue.ts";

/** One key of an order, as expressions over a product. */
export interface OrderKey {
  sql: string;
  /** Whether the product has it; those without come last. */
  there: string;
  down: boolean;
}

/** The keys of a question's order, the most important first. */
export function orderKeys(scopes: Scopes, scope: Scope, { sort, within, selection, searching }: Question): OrderKey[] {
  if (sort === bestMatch)
    return [{ sql: scopes.relevance(wordsIn(within, selection.text), searching), there: "1", down: true }];
  if (sort === pickedOrder) {
    // Of an id that is listed twice, the last place counts.
    const picked = `arrayReverse(${uints(scopes.numbersOf(idsIn(within)))})`;
    return [{ sql: `indexOf(${picked}, product)`, there: `has(${picked}, product)`, down: true }];
  }
  return sortKeys(sort, (key) => scopes.field(key) !== undefined).flatMap(({ field: key, down }) => {
    const field = scopes.field(key);
    if (!field) return [];
    const values = fittingValues(scope, columnsOf(field.at).places, field.level === "variant");
    const outermost = `arrayReduce('${down ? "max" : "min"}', ${values})`;
    return [{ sql: `if(notEmpty(${values}), ${outermost}, 0.)`, there: `notEmpty(${values})`, down }];
  });
}

/** The columns of an order's keys and the clause that sorts by them, ties by product. */
export function orderSql(keys: readonly OrderKey[]): { columns: string; by: string } {
  const columns = keys.map(({ sql, there }, at) => `${there} AS h${at}, ${sql} AS k${at}`);
  const order = keys.map(({ down }, at) => `h${at} DESC, k${at} ${down ? "DESC" : "ASC"}`);
  return { columns: ["product", ...columns].join(", "), by: [...order, "product"].join(", ") };
}

/** Sorts the rows of several shards, of the columns of {@link orderSql}, by the same order. @returns product numbers */
export const mergedOrder = (rows: readonly number[][], keys: readonly OrderKey[]): number[] =>
  [...rows]
    .sort((a, b) => {
      for (let at = 0; at < keys.length; at++) {
        const [hasA = 0, hasB = 0, x = 0, y = 0] = [a[1 + 2 * at], b[1 + 2 * at], a[2 + 2 * at], b[2 + 2 * at]];
        const difference = hasB - hasA || (hasA === 0 ? 0 : (x - y) * (keys[at]?.down ? -1 : 1));
        if (difference !== 0) return difference;
      }
      return (a[0] ?? 0) - (b[0] ?? 0);
    })
    .map(([product]) => product ?? 0);
