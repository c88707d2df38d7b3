import type { SqlEntityManager } from "@mikro-orm/libsql";
import { InvalidDocument } from "../../core/document/schema.ts";
import { upgraded } from "../../core/document/upgrade.ts";
import { type AnyKind, allKinds } from "../../core/shop/kinds.ts";
import { type Document, DocumentSchema, StepSchema, type StoredStep } from "./tables/document.ts";
import { write } from "./write.ts";

/** Includes removed documents, since they can be restored. */
const everyOne = { filters: { there: false } } as const;

/**
 * Migrates stored documents and their steps to the present format, all or none. An invalid one stays as it is; opening
 * it reports the fault.
 */
export async function upgradeDocuments(em: SqlEntityManager): Promise<void> {
  const older: { kind: AnyKind; id: number }[] = [];
  for (const kind of allKinds()) {
    const query = "select id from document where kind = ? and json_extract(body, '$.format') < ?";
    for (const { id } of await em.execute<{ id: number }[]>(query, [kind.name, kind.format])) older.push({ kind, id });
  }
  if (older.length === 0) return;
  await write(em, async (tx) => {
    for (const { kind, id } of older) {
      const { body, done } = await tx.findOneOrFail(DocumentSchema, { id }, everyOne);
      const stored = await tx.find<StoredStep>(StepSchema, { document: id }, { orderBy: { n: "asc" } });
      const steps = stored.map(({ n, at, words, patches, inverse }) => ({ n, at, words, patches, inverse }));
      try {
        const next = upgraded(kind, { document: body, steps, done });
        await tx.nativeUpdate<Document>(DocumentSchema, { id }, { body: next.document }, everyOne);
        await tx.nativeDelete<StoredStep>(StepSchema, { document: id });
        for (const step of next.steps) await tx.insert<StoredStep>(StepSchema, { document: id, ...step });
      } catch (error) {
        if (!(error instanceof InvalidDocument)) throw error;
      }
    }
  });
}
