import type { SqlEntityManager } from "@mikro-orm/libsql";
import type { VisitReport, VisitSource, VisitState } from "../../core/api/visit-report.ts";
import { VisitReader } from "../../core/rehearsal/visit-report.ts";
import { limits, limitText } from "../../core/sanitize/limits.ts";
import { HttpError } from "../http-error.ts";
import type { ShopRef } from "./documents.ts";
import { type Shop, ShopSchema } from "./tables/shop.ts";
import { VisitBatchSchema, type VisitFile, VisitFileSchema } from "./tables/visit.ts";
import { write, yieldToEventLoop } from "./write.ts";

const msPerDay = 86_400_000;
/** Nothing that is cached depends on visits. */
const aside = { aside: true };

/** The path to which pages send a shop's visits. */
export const visitsAddress = (shop: string): string => `/visits/${shop}`;

/** Keeps lines of visits as they came, and forgets those that are too old. @throws HttpError if none are collected */
export async function collectVisits(em: SqlEntityManager, shop: Shop, sent: string): Promise<void> {
  if (shop.visitDays === 0)
    throw new HttpError(403, "This shop doesn’t collect visits. Turn it on under Rehearsal, Visits.");
  const lines = sent.split("\n").filter((line) => line.trim() !== "");
  if (lines.length === 0) return;
  const text = lines.join("\n");
  const size = Buffer.byteLength(text);
  await write(
    em,
    async (tx) => {
      await forgetOld(tx, shop);
      if ((await totals(tx, shop)).bytes + size > limits.keptVisits.max)
        throw new HttpError(507, `This shop already has ${limitText(limits.keptVisits)} of visits. Erase them first.`);
      tx.create(VisitBatchSchema, { shop: shop.id, at: new Date(), count: lines.length, size, lines: text });
    },
    aside,
  );
}

const forgetOld = (tx: SqlEntityManager, { id, visitDays }: Pick<Shop, "id" | "visitDays">) =>
  tx.nativeDelete(VisitBatchSchema, { shop: id, at: { $lt: new Date(Date.now() - visitDays * msPerDay) } });

async function totals(
  em: SqlEntityManager,
  { id }: ShopRef,
): Promise<{ lines: number; bytes: number; since: Date | undefined }> {
  const [first] = await em.find(VisitBatchSchema, { shop: id }, { fields: ["at"], orderBy: { id: "asc" }, limit: 1 });
  // In the transaction of a write, which holds the only connection.
  const rows: { lines: number | null; bytes: number | null }[] = await em.execute(
    "select sum(count) as lines, sum(size) as bytes from visit_batch where shop_id = ?",
    [id],
  );
  return { lines: rows[0]?.lines ?? 0, bytes: rows[0]?.bytes ?? 0, since: first?.at };
}

/** Sets for how many days lines are kept; 0 takes no more, and keeps those there are. */
export const setVisitDays = (em: SqlEntityManager, shop: ShopRef, days: number) =>
  write(em, async (tx) => {
    await tx.nativeUpdate<Shop>(ShopSchema, { id: shop.id }, { visitDays: days });
    if (days > 0) await forgetOld(tx, { id: shop.id, visitDays: days });
  });

/** Erases what was collected, or the report of the imported file. */
export const eraseVisits = (em: SqlEntityManager, shop: ShopRef, source: VisitSource) =>
  write(
    em,
    (tx) =>
      source === "file"
        ? tx.nativeDelete(VisitFileSchema, { shop: shop.id })
        : tx.nativeDelete(VisitBatchSchema, { shop: shop.id }),
    aside,
  );

/** Keeps the report of an imported file in place of the one before. */
export const keepVisitFile = (
  em: SqlEntityManager,
  shop: ShopRef,
  { name, report, madeUp = false }: Pick<VisitFile, "name" | "report"> & { madeUp?: boolean },
) =>
  write(
    em,
    async (tx) => {
      await tx.nativeDelete(VisitFileSchema, { shop: shop.id });
      tx.create(VisitFileSchema, { shop: shop.id, name, at: new Date(), madeUp, report });
    },
    aside,
  );

/** The report of the collected lines. */
async function collectedReport(em: SqlEntityManager, { id }: ShopRef): Promise<VisitReport> {
  const reader = new VisitReader(Date.now());
  for (let after = 0; ; ) {
    const batches = await em
      .fork()
      .find(VisitBatchSchema, { shop: id, id: { $gt: after } }, { orderBy: { id: "asc" }, limit: 100 });
    const last = batches.at(-1);
    if (!last) return reader.report();
    after = last.id;
    for (const { lines } of batches) for (const line of lines.split("\n")) reader.add(line);
    await yieldToEventLoop();
  }
}

/** A shop's visits, with a report. @param asked the source of the report; by default the file, if there is one */
export async function visitState(em: SqlEntityManager, shop: Shop, asked?: VisitSource): Promise<VisitState> {
  const file = await em.fork().findOne(VisitFileSchema, { shop: shop.id });
  const { lines, bytes, since } = await totals(em.fork(), shop);
  const there = { file: file !== null, collected: lines > 0 };
  const source = asked && there[asked] ? asked : there.file ? "file" : there.collected ? "collected" : undefined;
  return {
    days: shop.visitDays,
    address: visitsAddress(shop.slug),
    ...(since ? { collected: { lines, bytes, since: since.toISOString() } } : {}),
    ...(file ? { file: { name: file.name, at: file.at.toISOString(), madeUp: file.madeUp } } : {}),
    ...(source ? { source } : {}),
    ...(source === "file" && file ? { report: file.report } : {}),
    ...(source === "collected" ? { report: await collectedReport(em, shop) } : {}),
  };
}
