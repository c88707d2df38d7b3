import { readFileSync } from "node:fs";
import { Ajv2020, type ValidateFunction } from "ajv/dist/2020.js";
import { describe, expect, it } from "vitest";
import type { Schema } from "yup";
import { ValidationError } from "yup";
import { demoLook } from "../../../../demo/look.ts";
import { demoPages } from "../../../../demo/pages.ts";
import { demoAside, demoPanel, demoQuestions } from "../../../../demo/panel.ts";
import { Random } from "../../../../demo/random.ts";
import { readCatalogue } from "../../catalogue/read.ts";
import { shippedLooks } from "../../look/looks/looks.ts";
import { kinds } from "../kinds.ts";
import { folderFormat, manifestSchema } from "./manifest-schema.ts";
import { folderSchema, schemaNames } from "./schemas.ts";

const { catalogue } = readCatalogue(readFileSync("demo/nursery.csv"));
const manifest = {
  format: folderFormat,
  name: "Larkmoss",
  currency: "EUR",
  settings: { ...kinds.shop.fresh(""), languages: ["de", "pt-BR"], look: "larkmoss" },
  columns: catalogue.fields,
  reading: [{ heading: "Preis", as: "price", decimal: ",", separator: "|" }],
  panels: ["climber-finder"],
  looks: [],
};
const entry = { colours: ["#c23b22", "#ffffff"], drawing: "sectors", alt: "glowing" };
const swatches = {
  ...kinds.swatches.fresh(""),
  shared: { ember: entry },
  own: { "flower-colour": { moss: { colours: ["#55663a"] } } },
  photos: { "flower-colour": { moss: { colours: ["#55663a"], agree: 3, of: 4 } } },
  order: { "flower-colour": ["name", "photos"] },
};
const mends = {
  format: 1,
  mends: [
    { id: "a", kind: "values", field: "light", from: ["shad"], to: ["shade"] },
    { id: "b", kind: "units", field: "height", unit: "cm" },
  ],
};
const richPanel = {
  ...demoPanel,
  look: "larkmoss",
  behaviour: { apply: { wide: "button" } },
  rows: demoPanel.rows.map((row, at) =>
    row.kind === "facet" && at < 4
      ? { ...row, style: "pills", look: { "tile.radius": { wide: 3, slim: 9 }, ink: { wide: "{accent}" } } }
      : row,
  ),
};

/** Documents as they are, by the schema that they are held against. */
const documents: Record<string, { schema: Pick<Schema, "validateSync">; samples: object[] }> = {
  shop: { schema: manifestSchema(), samples: [manifest] },
  panel: { schema: kinds.panel.schema, samples: [demoPanel, demoQuestions, demoAside, richPanel] },
  pages: { schema: kinds.pages.schema, samples: [demoPages] },
  look: { schema: kinds.look.schema, samples: [demoLook, ...shippedLooks.map(({ look }) => look)] },
  swatches: { schema: kinds.swatches.schema, samples: [swatches] },
  mends: { schema: kinds.mends.schema, samples: [mends] },
};

/**
 * Rules that only a program can check: the tests of the schemas that stand between values, or read a text. What they
 * refuse a JSON Schema takes.
 */
const beyond = new Set([
  ...["rows", "apart", "styles", "loops", "limits", "css", "clean", "safe", "language", "known", "tokens", "finite"],
]);

type Json = unknown;
const isObject = (value: Json): value is Record<string, Json> =>
  typeof value === "object" && value !== null && !Array.isArray(value);

/** Every place of a document, as the thing that holds it and the key it has there. */
function* places(value: Json): Generator<[holder: Record<string, Json> | Json[], key: string | number]> {
  if (Array.isArray(value))
    for (const [at, one] of value.entries()) {
      yield [value, at];
      yield* places(one);
    }
  else if (isObject(value))
    for (const [key, one] of Object.entries(value)) {
      yield [value, key];
      yield* places(one);
    }
}

const odd: Json[] = [
  null,
  true,
  0,
  -1,
  1.5,
  1e9,
  "",
  " ",
  "x",
  "#zzz",
  "{nothing}",
  [],
  {},
  ["x"],
  { x: 1 },
  "a".repeat(600),
];

/** A document with one thing changed: a value put in another's place, a member taken away or added. */
function mutated(document: object, random: Random): Json {
  const copy = JSON.parse(JSON.stringify(document)) as Json;
  const all = [...places(copy)];
  const pick = all[random.whole(0, all.length - 1)];
  if (!pick) return copy;
  const [holder, key] = pick;
  const at = holder as Record<string | number, Json>;
  switch (random.whole(0, 4)) {
    case 0:
      if (Array.isArray(holder)) holder.splice(Number(key), 1);
      else delete at[key];
      break;
    case 1:
      at[key] = odd[random.whole(0, odd.length - 1)];
      break;
    case 2: {
      const [from, name] = all[random.whole(0, all.length - 1)] ?? pick;
      at[key] = structuredClone((from as Record<string | number, Json>)[name]);
      break;
    }
    case 3:
      if (isObject(holder)) holder.unexpected = odd[random.whole(0, odd.length - 1)];
      else at[key] = [at[key]];
      break;
    default:
      at[key] = typeof at[key] === "number" ? at[key] * -1000 : typeof at[key] === "string" ? `${at[key]} ` : [at[key]];
  }
  return JSON.parse(JSON.stringify(copy));
}

/** The sort of test by which a value is refused; undefined when it is taken. */
function refusal(schema: Pick<Schema, "validateSync">, value: Json): string | undefined {
  try {
    schema.validateSync(value, { abortEarly: true });
    return undefined;
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    return error.type ?? "unknown";
  }
}

// Source: JSON Schema draft 2020-12, by the validator that most programs use, which holds schemas against the metaschema.
// Without the optimiser it is ready in a tenth of the time, and takes and refuses the same.
const ajv = new Ajv2020({ strict: false, validateSchema: true, inlineRefs: false, code: { optimize: false } });
const compiled = new Map<string, ValidateFunction>();
/** A schema ready to check with. */
function validatorOf(name: string): ValidateFunction {
  const validate = compiled.get(name) ?? ajv.compile(folderSchema(name) as object);
  compiled.set(name, validate);
  return validate;
}

describe("JSON Schemas", () => {
  // Checking a large schema against that of schemas takes a while, and longer where other tests run beside it.
  it.each(schemaNames())(
    "%s is a schema of draft 2020-12, and takes what the tool writes",
    { timeout: 120_000 },
    (name) => {
      expect(ajv.validateSchema(folderSchema(name) as object)).toBe(true);
      const takes = validatorOf(name);
      for (const sample of documents[name]?.samples ?? []) {
        const plain = JSON.parse(JSON.stringify(sample));
        expect(takes({ $schema: "x", ...plain }), JSON.stringify(takes.errors)).toBe(true);
        expect(refusal(documents[name]?.schema as Schema, plain)).toBeUndefined();
      }
    },
  );

  it.each(schemaNames())(
    "%s refuses what the tool refuses, and nothing else, over thousands of changed documents",
    (name) => {
      const { schema, samples } = documents[name] as (typeof documents)[string];
      const takes = validatorOf(name);
      const random = new Random(20_12);
      const found = { both: 0, beyond: 0, neither: 0 };
      const wrong: string[] = [];
      for (let n = 0; n < 600; n++) {
        const value = mutated(samples[n % samples.length] as object, random);
        const reason = refusal(schema, value);
        const taken = takes(value);
        if (reason === undefined && taken) found.neither++;
        else if (reason !== undefined && !taken) found.both++;
        else if (reason !== undefined && beyond.has(reason)) found.beyond++;
        else wrong.push(`${reason ?? "taken"} / ${JSON.stringify(takes.errors?.slice(0, 2))}`);
      }
      expect([...new Set(wrong)].slice(0, 5)).toEqual([]);
      expect(found.both).toBeGreaterThan(120);
    },
  );
});
