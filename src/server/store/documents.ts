import { ref, type SqlEntityManager } from "@mikro-orm/libsql";
import type { PanelSummary, SentHistory, Stored } from "../../core/api/shop.ts";
import { fieldKey } from "../../core/catalogue/field.ts";
import { changeBetween } from "../../core/document/edit.ts";
import { checkDocument, type DocumentKind } from "../../core/document/kind.ts";
import { maxSteps } from "../../core/document/patch.ts";
import { type Document, DocumentSchema, StepSchema, type StoredStep } from "./tables/document.ts";
import type { Shop } from "./tables/shop.ts";
import { serialized, write } from "./write.ts";

/** The shop of a document; only its id is needed. */
export type ShopRef = Pick<Shop, "id">;

type Kind = Pick<DocumentKind<object>, "name" | "many">;

/** Includes removed documents. */
const everyOne = { filters: { there: false } } as const;

const slugOf = ({ name, many }: Kind, slug: string | undefined): string => (many ? (slug ?? "") : name);

/** The names of a shop's documents of a kind, in order. */
export async function listDocuments(em: SqlEntityManager, shop: ShopRef, kind: Kind): Promise<PanelSummary[]> {
  const found = await em
    .fork()
    .find(
      DocumentSchema,
      { shop: shop.id, kind: kind.name },
      { fields: ["slug", "name", "version"], orderBy: { position: "asc", id: "asc" } },
    );
  return found.map(({ slug, name, version }) => ({ slug, name, version }));
}

/** The slug of the shop's first document of a kind; undefined if there is none. */
export async function firstDocument(em: SqlEntityManager, shop: ShopRef, kind: Kind): Promise<string | undefined> {
  const [found] = await em
    .fork()
    .find(
      DocumentSchema,
      { shop: shop.id, kind: kind.name },
      { fields: ["slug"], orderBy: { position: "asc", id: "asc" }, limit: 1 },
    );
  return found?.slug;
}

/** Version of a document: the number of times it was saved. */
export async function versionOf(em: SqlEntityManager, shop: ShopRef, kind: Kind, slug?: string): Promise<number> {
  const found = await em
    .fork()
    .findOne(DocumentSchema, { shop: shop.id, kind: kind.name, slug: slugOf(kind, slug) }, { fields: ["version"] });
  return found?.version ?? 0;
}

/**
 * A document in its kind's present format, without its history; the only document of a kind has defaults if never
 * saved.
 * @returns undefined if there is none with this slug
 */
export async function readDocument<D extends object>(
  em: SqlEntityManager,
  shop: ShopRef,
  kind: DocumentKind<D>,
  slug?: string,
): Promise<{ version: number; document: D } | undefined> {
  const found = await em
    .fork()
    .findOne(
      DocumentSchema,
      { shop: shop.id, kind: kind.name, slug: slugOf(kind, slug) },
      { fields: ["version", "body"] },
    );
  if (found) return { version: found.version, document: checkDocument(kind, found.body) };
  return kind.many ? undefined : { version: 0, document: kind.fresh("") };
}

/** {@link readDocument} with its last steps. */
export async function loadDocument<D extends object>(
  em: SqlEntityManager,
  shop: ShopRef,
  kind: DocumentKind<D>,
  slug?: string,
): Promise<Stored<D> | undefined> {
  const fork = em.fork();
  const found = await fork.findOne(DocumentSchema, { shop: shop.id, kind: kind.name, slug: slugOf(kind, slug) });
  if (!found) return kind.many ? undefined : { version: 0, document: kind.fresh(""), history: { steps: [], done: 0 } };
  const steps = await fork.find<StoredStep>(StepSchema, { document: found.id }, { orderBy: { n: "asc" } });
  return {
    version: found.version,
    document: checkDocument(kind, found.body),
    history: {
      steps: steps.map(({ n, at, words, patches, inverse }) => ({ n, at, words, patches, inverse })),
      done: found.done,
    },
  };
}

/** Total number of steps in a shop's documents. */
export async function stepsDone(em: SqlEntityManager, shop: ShopRef): Promise<number> {
  const found = await em.fork().find(DocumentSchema, { shop: shop.id }, { fields: ["done"] });
  return found.reduce((sum, { done }) => sum + done, 0);
}

const nameOf = (document: object): string =>
  "name" in document && typeof document.name === "string" ? document.name : "";

/** Adds a document of a kind with many, with an unused slug. */
export const createDocument = <D extends object>(
  em: SqlEntityManager,
  shop: ShopRef,
  kind: DocumentKind<D>,
  document: unknown,
): Promise<PanelSummary> => write(em, (tx) => insertDocument(tx, shop, kind, document));

/**
 * {@link createDocument} within an open transaction.
 * @param document checked here
 * @param place its slug, if known and unused
 * @throws InvalidDocument
 */
export async function insertDocument<D extends object>(
  tx: SqlEntityManager,
  shop: ShopRef,
  kind: DocumentKind<D>,
  document: unknown,
  place?: string,
): Promise<PanelSummary> {
  const body = checkDocument(kind, document);
  // A slug stays reserved while its removed document can be restored.
  const others = await tx.find(
    DocumentSchema,
    { shop: shop.id, kind: kind.name },
    { fields: ["slug", "position"], filters: { there: false } },
  );
  const name = nameOf(body);
  const slug = kind.many
    ? (place ?? fieldKey(name, new Set(others.map((other) => other.slug)), "untitled"))
    : kind.name;
  const position = others.reduce((most, other) => Math.max(most, other.position + 1), 0);
  tx.persist(
    tx.create<Document>(DocumentSchema, {
      shop: ref(tx.getReference<Shop>("Shop", shop.id)),
      kind: kind.name,
      slug,
      name,
      position,
      version: 1,
      body,
      done: 0,
      updatedAt: new Date(),
    }),
  );
  await tx.flush();
  return { slug, name, version: 1 };
}

/** A document to save over the version known to the sender. */
interface Saved {
  version: number;
  /** Checked before it is stored. */
  document: unknown;
  history?: SentHistory | undefined;
}

/**
 * Saves a document and its latest steps unless somebody has saved it since `version`; both are on disk when this
 * returns.
 * @returns the new version, or undefined if the stored one differs
 * @throws InvalidDocument
 */
export const saveDocument = async <D extends object>(
  em: SqlEntityManager,
  shop: ShopRef,
  kind: DocumentKind<D>,
  slug: string | undefined,
  { document, ...saved }: Saved,
): Promise<number | undefined> => {
  const body = await serialized(() => checkDocument(kind, document));
  return write(em, (tx) => saveWithin(tx, shop, kind, slug, { ...saved, document: body }));
};

/** {@link saveDocument} within an open transaction, for a checked document. */
async function saveWithin<D extends object>(
  tx: SqlEntityManager,
  shop: ShopRef,
  kind: DocumentKind<D>,
  slug: string | undefined,
  { version, document, history }: Saved & { document: D },
): Promise<number | undefined> {
  const where = { shop: shop.id, kind: kind.name, slug: slugOf(kind, slug) };
  let found = await tx.findOne(DocumentSchema, where, { fields: ["id", "version", "done"] });
  if (!found && !kind.many && version === 0) {
    await insertDocument(tx, shop, kind, kind.fresh(""));
    found = await tx.findOneOrFail(DocumentSchema, where, { fields: ["id", "version", "done"] });
  } else if (found?.version !== version) return undefined;
  if (!found) return undefined;
  const next = {
    version: found.version + 1,
    body: document,
    name: nameOf(document),
    updatedAt: new Date(),
    done: history?.done ?? found.done,
  };
  await tx.nativeUpdate<Document>(DocumentSchema, { id: found.id }, next);
  if (history) await saveSteps(tx, found.id, history);
  return next.version;
}

/** A document within an open transaction; undefined if there is none, including removed ones. */
export async function bodyWithin<D extends object>(
  tx: SqlEntityManager,
  shop: ShopRef,
  kind: DocumentKind<D>,
  slug?: string,
): Promise<{ id: number; version: number; done: number; removed: boolean; document: D } | undefined> {
  const found = await tx.findOne(
    DocumentSchema,
    { shop: shop.id, kind: kind.name, slug: slugOf(kind, slug) },
    { fields: ["version", "body", "done", "removedAt"], ...everyOne },
  );
  if (!found) return undefined;
  const { id, version, done, removedAt } = found;
  return { id, version, done, removed: Boolean(removedAt), document: checkDocument(kind, found.body) };
}

/**
 * Replaces a document within an open transaction, as a step that can be undone. A missing document is created, and a
 * removed one restored.
 * @param words of that step
 */
export async function changeWithin<D extends object>(
  tx: SqlEntityManager,
  shop: ShopRef,
  kind: DocumentKind<D>,
  slug: string | undefined,
  next: D,
  words: string,
): Promise<void> {
  const checked = checkDocument(kind, next);
  const now = await bodyWithin(tx, shop, kind, slug);
  if (!now && kind.many) {
    await insertDocument(tx, shop, kind, checked, slug);
    return;
  }
  if (now?.removed) await tx.nativeUpdate<Document>(DocumentSchema, { id: now.id }, { removedAt: null }, everyOne);
  const { patches, inverse } = changeBetween(now?.document ?? kind.fresh(""), checked);
  if (patches.length === 0) return;
  const from = (now?.done ?? 0) + 1;
  const history = { from, steps: [{ n: from, at: Date.now(), words, patches, inverse }], done: from };
  await saveWithin(tx, shop, kind, slug, { version: now?.version ?? 0, document: checked, history });
}

/** Replaces the stored steps from the first sent one on, and drops the oldest. */
async function saveSteps(tx: SqlEntityManager, document: number, { from, steps }: SentHistory): Promise<void> {
  await tx.nativeDelete<StoredStep>(StepSchema, { document, n: { $gte: from } });
  for (const { n, at, words, patches, inverse } of steps)
    await tx.insert<StoredStep>(StepSchema, { document, n, at, words, patches, inverse });
  const last = steps.at(-1)?.n ?? from - 1;
  await tx.nativeDelete<StoredStep>(StepSchema, { document, n: { $lte: last - maxSteps } });
}
