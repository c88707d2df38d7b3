import { inStock } from "./availability.ts";
import { type Catalogue, productCount, valuesOf } from "./catalogue.ts";
import { type Field, isDerived, type KnownColumn, knownColumns } from "./field.ts";
import { stockWord, withoutSchema } from "./stock-words.ts";
import { joinValues, type Table, tableOf } from "./table.ts";

/** A node of JSON-LD. */
type Node = Record<string, unknown>;
type Row = Map<string, string>;

/** Properties of schema.org Product that map directly to a catalogue column. */
const plain: [property: string, column: KnownColumn][] = [
  ["name", "title"],
  ["description", "description"],
  ["category", "category"],
  ["brand", "brand"],
  ["keywords", "tags"],
  ["releaseDate", "published"],
  ["image", "image"],
  ["sku", "sku"],
];
/** Properties of schema.org Product that shops use as attributes. */
const attributes = ["color", "size", "material", "pattern"];

/**
 * Reads schema.org Product and ProductGroup nodes, alone, in a list or in a graph. A group's properties apply to its
 * variants unless they state their own. Source: schema.org 29, Product, ProductGroup, Offer, AggregateRating,
 * PropertyValue. Products without any identifier are numbered.
 * @returns undefined if the value holds no such node
 */
export function readJsonLd(value: unknown): Table | undefined {
  const nodes = nodesOf(value).filter(
    (node) => isA(node, "Product") || isA(node, "ProductGroup") || isA(node, "IndividualProduct"),
  );
  if (nodes.length === 0) return undefined;
  const rows: Row[] = [];
  const taken = new Set(nodes.flatMap((node) => idOf(node) ?? []));
  for (const node of nodes) {
    const variants = listOf(node.hasVariant).filter(isNode);
    const id = idOf(node) ?? freeNumber(taken);
    taken.add(id);
    const own = rowOf(node);
    for (const variant of variants.length > 0 ? variants : [undefined]) {
      const row: Row = new Map([["product_id", id], ...own, ...(variant ? rowOf(variant) : [])]);
      rows.push(row);
    }
  }
  return tableOf(rows, knownColumns);
}

/** Writes a catalogue as a schema.org graph, which {@link readJsonLd} reads back unchanged. */
export function writeJsonLd(catalogue: Catalogue, currency: string): Node {
  const stored = catalogue.fields.filter((field) => field.role !== "product_id" && !isDerived(field));
  const graph = Array.from({ length: productCount(catalogue) }, (_, p): Node => {
    const [first, last] = [catalogue.variantStart[p] ?? 0, catalogue.variantStart[p + 1] ?? 0];
    const id = catalogue.productIds[p];
    if (last - first === 1)
      return { "@type": "Product", productID: id, ...propertiesOf(catalogue, stored, first, currency) };
    const shared = stored.filter((field) => sameOnAll(catalogue, field, first, last));
    const varied = stored.filter((field) => !shared.includes(field));
    return {
      "@type": "ProductGroup",
      productGroupID: id,
      ...propertiesOf(catalogue, shared, first, currency),
      hasVariant: Array.from({ length: last - first }, (_, i) => ({
        "@type": "Product",
        ...propertiesOf(catalogue, varied, first + i, currency),
      })),
    };
  });
  return { "@context": "https://schema.org", "@graph": graph };
}

function nodesOf(value: unknown): Node[] {
  if (Array.isArray(value)) return value.flatMap(nodesOf);
  if (!isNode(value)) return [];
  return "@graph" in value ? nodesOf(value["@graph"]) : [value];
}

const isNode = (value: unknown): value is Node => typeof value === "object" && value !== null && !Array.isArray(value);
const listOf = (value: unknown): unknown[] =>
  Array.isArray(value) ? value : value === undefined || value === null ? [] : [value];
const isA = (node: Node, type: string): boolean =>
  listOf(node["@type"]).some((one) => String(one).replace(/^(?:https?:\/\/schema\.org\/|schema:)/, "") === type);

/** The first number not in use as an id. */
function freeNumber(taken: ReadonlySet<string>): string {
  let number = taken.size + 1;
  while (taken.has(String(number))) number++;
  return String(number);
}

function idOf(node: Node): string | undefined {
  const found = [node.productGroupID, node.inProductGroupWithID, node.productID, node.sku, node["@id"]].map(textOf);
  return found.find((text) => text !== "");
}

/** A literal, or the name of a node. */
function textOf(value: unknown): string {
  if (Array.isArray(value)) return joinValues(value.map(textOf).filter((text) => text !== ""));
  if (isNode(value))
    return textOf(value["@value"] ?? value.name ?? value.value ?? value.contentUrl ?? value.url ?? value["@id"]);
  return value === undefined || value === null ? "" : String(value);
}

function rowOf(node: Node): Row {
  const row: Row = new Map();
  const put = (heading: string, value: unknown) => {
    const text = textOf(value);
    if (text !== "") row.set(heading, text);
  };
  for (const [property, column] of plain)
    put(column, property === "image" ? listOf(node[property])[0] : node[property]);
  // `additionalType` stands for a product's type: it is schema.org's own way to say so.
  put("type", node.additionalType);
  for (const property of attributes) put(property, node[property]);
  const rating = listOf(node.aggregateRating).find(isNode);
  put("rating", rating?.ratingValue);
  put("reviews", rating?.reviewCount ?? rating?.ratingCount);
  putOffer(put, listOf(node.offers).find(isNode));
  const several = new Map<string, string[]>();
  for (const property of listOf(node.additionalProperty).filter(isNode)) {
    const name = textOf(property.name);
    const unit = textOf(property.unitText);
    const text = [textOf(property.value), unit].filter(Boolean).join(" ");
    if (name !== "" && text !== "") several.set(name, [...(several.get(name) ?? []), text]);
  }
  for (const [name, values] of several) put(name, values);
  return row;
}

function putOffer(put: (heading: string, value: unknown) => void, offer: Node | undefined): void {
  if (!offer) return;
  const specifications = listOf(offer.priceSpecification).filter(isNode);
  const isList = (one: Node) => /(?:ListPrice|SRP|StrikethroughPrice)$/.test(textOf(one.priceType));
  put("price", offer.price ?? offer.lowPrice ?? specifications.find((one) => !isList(one))?.price);
  put("list_price", specifications.find(isList)?.price);
  const level = listOf(offer.inventoryLevel)[0];
  if (level !== undefined) put("stock", isNode(level) ? level.value : level);
  else if (offer.availability !== undefined) {
    const said = textOf(offer.availability);
    // Any other availability keeps its own word, which makes no claim about stock.
    put("stock", stockWord(said) ?? withoutSchema(said));
  }
}

function propertiesOf(catalogue: Catalogue, fields: readonly Field[], variant: number, currency: string): Node {
  const node: Node = {};
  const rating: Node = {};
  const offer: Node = {};
  const additional: Node[] = [];
  for (const field of fields) {
    const values = valuesOf(catalogue, field.key, variant);
    if (values.length === 0) continue;
    const value = values.length === 1 ? values[0] : values;
    const known = plain.find(([, column]) => column === field.role);
    if (known) node[known[0]] = field.role === "brand" ? brandOf(values) : value;
    else if (field.role === "type") node.additionalType = value;
    else if (field.role === "rating") rating.ratingValue = value;
    else if (field.role === "reviews") rating.reviewCount = value;
    else if (field.role === "price") Object.assign(offer, { price: value, priceCurrency: currency });
    else if (field.role === "list_price")
      offer.priceSpecification = {
        "@type": "UnitPriceSpecification",
        priceType: "https://schema.org/ListPrice",
        price: value,
        priceCurrency: currency,
      };
    else if (field.role === "stock") {
      const said = stockWord(String(value));
      if (said) offer.availability = `https://schema.org/${said === inStock ? "InStock" : "OutOfStock"}`;
      else offer.inventoryLevel = { "@type": "QuantitativeValue", value };
    } else {
      const unit = field.unit ? { unitText: field.unit } : {};
      additional.push(...values.map((one) => ({ "@type": "PropertyValue", name: field.name, value: one, ...unit })));
    }
  }
  if (Object.keys(rating).length > 0) node.aggregateRating = { "@type": "AggregateRating", ...rating };
  if (Object.keys(offer).length > 0) node.offers = { "@type": "Offer", ...offer };
  if (additional.length > 0) node.additionalProperty = additional;
  return node;
}

const brandOf = (values: readonly string[]): unknown => {
  const brands = values.map((name) => ({ "@type": "Brand", name }));
  return brands.length === 1 ? brands[0] : brands;
};

/** Offers and ratings are one node each, so all their fields are put on either the group or the variants. */
function sameOnAll(catalogue: Catalogue, field: Field, first: number, last: number): boolean {
  const together = (["price", "list_price", "stock"] as const).includes(field.role as "price")
    ? ["price", "list_price", "stock"]
    : field.role === "rating" || field.role === "reviews"
      ? ["rating", "reviews"]
      : [field.role];
  const fields = field.role === "attribute" ? [field] : catalogue.fields.filter(({ role }) => together.includes(role));
  return fields.every((one) => {
    const text = valuesOf(catalogue, one.key, first).join("|");
    for (let v = first + 1; v < last; v++) if (valuesOf(catalogue, one.key, v).join("|") !== text) return false;
    return true;
  });
}
