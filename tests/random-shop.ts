import fc from "fast-check";
import { assembleCatalogue } from "../src/core/catalogue/assemble.ts";
import type { Field } from "../src/core/catalogue/field.ts";
import type { Choice, Choices, Clause, Condition, Facet, Mode } from "../src/core/engine/question.ts";

const attribute = (key: string): Field => ({
  key,
  name: key.charAt(0).toUpperCase() + key.slice(1),
  role: "attribute",
  kind: "text",
});
const fields: Field[] = [
  attribute("colour"),
  attribute("size"),
  attribute("mood"),
  { ...attribute("category"), role: "category" },
  { ...attribute("price"), role: "price" },
];

const several = (values: string[]) => fc.subarray(values, { maxLength: 3 }).map((some) => some.join("|"));
const row = fc.tuple(
  several(["Black", "black ", "white", "red"]),
  several(["S", "M", "L"]),
  fc.constantFrom("", "calm", "wild"),
  fc.constantFrom("", "A > B > C", "A > B", "A > D", "E"),
  fc.constantFrom("", "1", "2.5", "9", "30"),
);

/** Small random catalogues: products with one to four variants, cells that state none, one or several values. */
export const shops = fc
  .array(fc.tuple(fc.array(row, { minLength: 1, maxLength: 4 }), fc.boolean()), { minLength: 1, maxLength: 12 })
  .map((products) =>
    assembleCatalogue(
      fields,
      products.map(([rows, sameMood], p) => ({
        id: `p${p}`,
        rows: rows.map((cells) => (sameMood ? [...cells.slice(0, 2), rows[0][2], ...cells.slice(3)] : [...cells])),
      })),
    ),
  );

const condition: fc.Arbitrary<Condition> = fc.oneof(
  fc.record({
    field: fc.constant("colour"),
    options: fc.subarray(["black", "white", "red"], { minLength: 1 }),
  }),
  fc.record({ field: fc.constant("mood"), options: fc.subarray(["calm", "wild"], { minLength: 1 }) }),
  fc.record({ field: fc.constant("category"), options: fc.subarray(["a", "a > b", "e"], { minLength: 1 }) }),
  fc.record({ field: fc.constant("price"), min: fc.constantFrom(1, 2), max: fc.constantFrom(9, 30) }),
  fc.record({ products: fc.subarray(["p0", "p1", "p2", "p3"]) }),
);

/** The standing conditions of a page: up to three clauses of up to two conditions. */
export const standing: fc.Arbitrary<Clause[]> = fc.array(fc.array(condition, { minLength: 1, maxLength: 2 }), {
  maxLength: 3,
});

const discrete = (ids: string[]): fc.Arbitrary<Choice | undefined> =>
  fc.option(
    fc.subarray(ids, { minLength: 1 }).map((options) => ({ options })),
    { nil: undefined },
  );
const mode = fc.constantFrom<Mode[]>("any", "all");

/** Five facets in random modes with random choices. */
export const questions: fc.Arbitrary<{ facets: Facet[]; choices: Choices }> = fc
  .record({
    modes: fc.tuple(mode, mode, mode),
    colour: discrete(["black", "white", "red"]),
    size: discrete(["s", "m", "l"]),
    mood: discrete(["calm", "wild"]),
    category: discrete(["a", "a > b", "a > b > c", "e"]),
    price: fc.option(
      fc.record({ min: fc.constantFrom(undefined, 1, 2, 9), max: fc.constantFrom(undefined, 2.5, 10, 30) }),
      { nil: undefined },
    ),
  })
  .map(({ modes: [first, second, third], ...picked }) => ({
    facets: [
      { field: "colour", mode: first },
      { field: "size", mode: second },
      { field: "mood", mode: third },
      { field: "category", mode: "tree" },
      { field: "price", mode: "range" },
    ],
    choices: Object.fromEntries(
      Object.entries(picked).flatMap(([field, choice]) => (choice ? [[field, choice]] : [])),
    ) as Choices,
  }));
