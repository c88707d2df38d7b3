import { boolean, type InferType, type ISchema, lazy, number } from "yup";
import { isPlain } from "../document/is-plain.ts";
import { said } from "../document/json-schema.ts";
import { exact, listOf, oneOf, richText, text } from "../document/schema.ts";
import { linksIn, plainText } from "../sanitize/html-text.ts";
import { isSafeAddress, isSafePicture } from "../sanitize/safe-address.ts";
import { addressSchema, idSchema, labelSchema, labelsSchema } from "./row-members.ts";

/** The members of every piece: its id, and its label if it has one. */
const row = <P extends string>(piece: P) =>
  exact({
    kind: oneOf(["piece"]),
    piece: oneOf([piece]),
    id: idSchema(),
    label: labelSchema(),
    labels: labelsSchema,
  });

type Shared = InferType<ReturnType<typeof row>>;

/** A kind of piece: its data, and everything derived from it except its view, which belongs to the storefront. */
interface PieceDefinition<R extends Shared = Shared> {
  /** The designer's name for it. */
  label: string;
  schema: ISchema<R>;
  /** The members of a new one. */
  fresh: Omit<R, "kind" | "piece" | "id" | "labels">;
  /** It has no label. Default: it has one. */
  isLabelled?: false;
  /** A panel can have one only. Default: any number. */
  once?: true;
  /** A new one is put first on the panel. Default: last. */
  first?: true;
  /** Its title in the tool without a label. @param nameOf the name of a field. Default: the definition's own label. */
  title?(row: R, nameOf: (field: string) => string): string;
  /** The designer's texts in it. Default: none. */
  texts?(row: R): string[];
  /** Addresses it links to. Default: none. */
  links?(row: R): string[];
  /** Descriptions of differences, by member. Default: the member with its new value. */
  differences?: { readonly [M in keyof R]?: string };
}

const define = <R extends Shared>(definition: PieceDefinition<R>): PieceDefinition<R> => definition;

const someValues = () => listOf(text(2000), 1000);
const branches = exact({ below: text(2000) });
const allBut = exact({ except: someValues() });

const list = {
  /** A field to search the products by words. */
  search: define({ label: "Search field", schema: row("search"), fresh: { label: "Search" }, once: true, first: true }),
  /** The chosen filters, each removable, and a clear all. */
  chosen: define({
    label: "Chosen filters",
    schema: row("chosen"),
    fresh: { label: "Chosen filters" },
    once: true,
    first: true,
  }),
  /** A button that clears all choices. */
  clear: define({ label: "Clear all", schema: row("clear"), fresh: { label: "Clear all" }, once: true }),
  /** The number of products found. */
  count: define({
    label: "Result count",
    schema: row("count"),
    fresh: { label: "" },
    isLabelled: false,
    once: true,
  }),
  /** A heading of level 2 to 4; its label is the text. */
  heading: define({
    label: "Heading",
    schema: row("heading").shape({ level: number<2 | 3 | 4>().strict().oneOf([2, 3, 4]).required() }),
    fresh: { label: "Find your way", level: 3 },
    texts: ({ label }) => [label],
  }),
  /** Text with simple markup. */
  text: define({
    label: "Text",
    schema: row("text").shape({
      html: richText(20_000),
    }),
    fresh: { label: "", html: "<p>A few words for shoppers.</p>" },
    isLabelled: false,
    texts: ({ html }) => [plainText(html)],
    links: ({ html }) => linksIn(html),
    differences: { html: "has a different text" },
  }),
  /** A picture; its label is the alternative text. */
  picture: define({
    label: "Picture",
    schema: row("picture").shape({
      src: addressSchema(isSafePicture, "must begin with https:// or /"),
      href: addressSchema(isSafeAddress, "must begin with https://, mailto:, tel:, / or ?"),
    }),
    fresh: { label: "", src: "", href: "" },
    links: ({ href }) => (href === "" ? [] : [href]),
    differences: { src: "shows a different picture", href: "has a different link" },
  }),
  /** Links that each lead to the shop's page with one value of a field chosen. */
  links: define({
    label: "Links",
    schema: row("links").shape({
      field: labelSchema(),
      mode: oneOf(["any", "tree"]),
      /** All values; some of them; or all but some, or the branches of a category, both including later values. */
      values: lazy((values: unknown) =>
        values === "all"
          ? oneOf(["all"])
          : Array.isArray(values)
            ? someValues()
            : isPlain(values) && "below" in values
              ? branches
              : allBut,
      ).meta(said((of) => ({ anyOf: [oneOf(["all"]), someValues(), branches, allBut].map(of) }))),
      counts: boolean().strict().required(),
    }),
    fresh: { label: "", field: "", mode: "any", values: "all", counts: true },
    title: ({ field }, nameOf) => `Links: ${nameOf(field)}`,
    differences: { values: "links to other values", mode: "links by another way of choosing" },
  }),
  /** A line between rows. */
  divider: define({ label: "Divider", schema: row("divider"), fresh: { label: "" }, isLabelled: false }),
};

type Pieces = typeof list;
export type PieceName = keyof Pieces;
export type PieceRow = InferType<Pieces[PieceName]["schema"]>;
export type LinksPiece = Extract<PieceRow, { piece: "links" }>;

/** The kinds of pieces, in the order in which they are offered. */
export const pieceNames = Object.keys(list) as PieceName[];

/** The schemas of all pieces, by their names. */
export const pieceSchemas = () =>
  Object.fromEntries(Object.entries(list).map(([name, { schema }]) => [name, schema])) as {
    [P in PieceName]: Pieces[P]["schema"];
  };

/** The definition of a kind of piece. The compiler can't see that it is only used for rows of that kind. */
export const pieceOf = (piece: PieceName): PieceDefinition<PieceRow> =>
  list[piece] as unknown as PieceDefinition<PieceRow>;

/** A new piece with defaults. @param members given ones */
export const newPiece = <P extends PieceName>(
  piece: P,
  id: string,
  members: Partial<Extract<PieceRow, { piece: P }>> = {},
): Extract<PieceRow, { piece: P }> =>
  ({ kind: "piece", id, piece, ...pieceOf(piece).fresh, ...members }) as Extract<PieceRow, { piece: P }>;
