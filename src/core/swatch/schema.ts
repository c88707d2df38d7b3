import { array, lazy, number, object, type Schema, string } from "yup";
import { checkDocument, exact, oneOf } from "../document/check.ts";
import { bookFormat, drawings, type SwatchDocument, sources } from "./document.ts";

const record = (value: () => Schema) =>
  lazy(
    (given: unknown): Schema =>
      typeof given === "object" && given !== null && !Array.isArray(given)
        ? exact(Object.fromEntries(Object.keys(given).map((name) => [name, value()])))
        : object().strict().required(),
  ) as unknown as Schema;
const colours = () =>
  array()
    .of(
      string()
        .strict()
        .matches(/^#[0-9a-f]{6}$/, ({ path }) => `${path} is no colour like #a83c25`)
        .required(),
    )
    .strict()
    .min(1)
    .max(4);
/** Pictures are in the shop's own store, so that none can be put in from elsewhere. */
export const picturePath = /^\/pictures\/[\w-]{1,100}\/[0-9a-f]{64}\.(?:svg|png|webp|jpg)$/u;

const entry = () =>
  exact({
    colours: colours().optional().default(undefined),
    drawing: string().strict().oneOf(drawings),
    picture: string()
      .strict()
      .matches(picturePath, ({ path }) => `${path} is no picture of the shop's store`),
    alt: string().strict().max(200),
  });
const photo = () =>
  exact({ colours: colours().required(), agree: number().strict().integer().min(0).required(), of: number().strict().integer().min(0).required() });

const book = exact({
  format: number().strict().oneOf([bookFormat]).required(),
  shared: record(entry),
  own: record(() => record(entry)),
  photos: record(() => record(photo)),
  order: record(() => array().of(oneOf(sources)).strict().max(sources.length).required()),
  limit: number().strict().min(0).max(50).required(),
}).required();

/** The value as a swatch book. @throws InvalidDocument */
export const checkBook = (value: unknown): SwatchDocument => checkDocument("swatch book", book, value);
