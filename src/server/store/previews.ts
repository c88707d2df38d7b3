import { randomBytes } from "node:crypto";
import type { SqlEntityManager } from "@mikro-orm/libsql";
import type { NoteChange, PreviewNote, PreviewSummary, SentNote, SharedPreviews } from "../../core/api/preview.ts";
import { limits } from "../../core/sanitize/limits.ts";
import { HttpError } from "../http-error.ts";
import { isSameFiles } from "../published/snapshot-files.ts";
import { putContents, sourceOfSnapshot, takeSnapshot } from "./snapshots.ts";
import type { ShopSource, StoredShopHead } from "./source.ts";
import { type Shop, ShopSchema } from "./tables/shop.ts";
import { type Preview, type PreviewNoteRow, PreviewNoteSchema, PreviewSchema } from "./tables/snapshot.ts";
import { write } from "./write.ts";

/** Nothing that is cached depends on notes. */
const aside = { aside: true };

/** The path of a preview’s first page. */
export const previewAddress = (key: string): string => `/preview/${key}/`;

const summaryOf = ({
  key,
  createdAt,
  endedAt,
}: Pick<Preview, "key" | "createdAt"> & { endedAt?: Date | null | undefined }): PreviewSummary => ({
  key,
  address: previewAddress(key),
  createdAt: createdAt.toISOString(),
  ...(endedAt ? { endedAt: endedAt.toISOString() } : {}),
});

const noteOf = (row: PreviewNoteRow, preview: string): PreviewNote => ({
  id: row.id,
  preview,
  name: row.name,
  text: row.text,
  place: row.place,
  createdAt: row.createdAt.toISOString(),
  answer: row.answer,
  ...(row.doneAt ? { doneAt: row.doneAt.toISOString() } : {}),
});

/** Shares the shop’s present state. An open preview with the same content is used again. */
export async function sharePreview(em: SqlEntityManager, shop: Shop): Promise<PreviewSummary> {
  const { row, contents } = await takeSnapshot(em, shop);
  return write(em, async (tx) => {
    const open = await tx.find(PreviewSchema, { shop: shop.id, endedAt: null });
    const same = open.find((one) => isSameFiles(one.files, row.files));
    if (same) return summaryOf(same);
    await putContents(tx, contents);
    const preview = { ...row, key: randomBytes(15).toString("base64url"), endedAt: null };
    await tx.insert<Preview>(PreviewSchema, preview);
    return summaryOf(preview);
  });
}

/** A shop’s previews and their notes, newest first. */
export async function listPreviews(em: SqlEntityManager, { id }: Pick<Shop, "id">): Promise<SharedPreviews> {
  const previews = await em
    .fork()
    .find(PreviewSchema, { shop: id }, { fields: ["key", "createdAt", "endedAt"], orderBy: { id: "desc" } });
  const keys = new Map(previews.map((one) => [one.id, one.key]));
  const notes = await em.fork().find(PreviewNoteSchema, { preview: { shop: id } }, { orderBy: { id: "desc" } });
  return {
    previews: previews.map(summaryOf),
    notes: notes.map((one) => noteOf(one, keys.get(one.preview.id) ?? "")),
  };
}

/** Number of notes on a shop’s previews that are not done. */
export const countOpenNotes = (em: SqlEntityManager, { id }: Pick<Shop, "id">): Promise<number> =>
  em.fork().count(PreviewNoteSchema, { preview: { shop: id }, doneAt: null });

/** Ends a preview, or opens it again; its notes stay. @throws HttpError if the shop has none with this key */
export async function setPreviewEnded(em: SqlEntityManager, shop: Shop, key: string, ended: boolean): Promise<void> {
  await write(em, async (tx) => {
    const count = await tx.nativeUpdate<Preview>(
      PreviewSchema,
      { shop: shop.id, key },
      { endedAt: ended ? new Date() : null },
    );
    if (count === 0) throw new HttpError(404, "This shop has no such preview. Reload the page.");
  });
}

/** Answers a note, or marks it as done or open. @throws HttpError if the shop has no such note */
export async function changeNote(
  em: SqlEntityManager,
  shop: Shop,
  id: number,
  { answer, done }: NoteChange,
): Promise<void> {
  await write(
    em,
    async (tx) => {
      const note = await tx.findOne(PreviewNoteSchema, { id, preview: { shop: shop.id } });
      if (!note) throw new HttpError(404, "This shop has no such note. Reload the page.");
      if (answer !== undefined) note.answer = answer;
      if (done !== undefined) note.doneAt = done ? (note.doneAt ?? new Date()) : null;
    },
    aside,
  );
}

/** An open preview by its key. @throws HttpError if there is none, or it has ended */
export async function openPreview(em: SqlEntityManager, key: string): Promise<OpenPreview> {
  const preview = await em.findOne(PreviewSchema, { key });
  // A removed shop's previews are hidden with it until it is restored.
  const shop = preview && (await em.findOne(ShopSchema, { id: preview.shop.id }, { fields: headFields }));
  if (!shop) throw noPreview();
  if (preview.endedAt)
    throw new HttpError(410, "This preview has ended. Ask whoever sent you the address for a new one.");
  return { preview, shop, createdAt: preview.createdAt };
}

/** A preview that can be seen, and its shop. */
export interface OpenPreview {
  preview: Preview;
  shop: StoredShopHead;
  createdAt: Date;
}

const headFields = ["id", "slug", "name", "currency", "variantCount"] as const;

const noPreview = () => new HttpError(404, "There is no preview at this address. Check the address.");

/** The source of a preview’s pages. @throws HttpError if it isn’t open, or belongs to a different shop */
export async function sourceOfPreview(em: SqlEntityManager, shop: StoredShopHead, key: string): Promise<ShopSource> {
  const { preview, shop: own } = await openPreview(em, key);
  if (own.id !== shop.id) throw noPreview();
  return sourceOfSnapshot(em, shop, { key: `preview ${preview.id}`, state: { preview: key }, snapshot: preview });
}

/** The notes on a preview, oldest first. @throws HttpError if it isn’t open */
export async function notesOn(em: SqlEntityManager, key: string): Promise<PreviewNote[]> {
  const { id } = (await openPreview(em, key)).preview;
  const found = await em.fork().find(PreviewNoteSchema, { preview: id }, { orderBy: { id: "asc" } });
  return found.map((one) => noteOf(one, key));
}

/** Pins a note to a preview. @throws HttpError if it isn’t open, or has too many */
export async function addNote(
  em: SqlEntityManager,
  key: string,
  { name, text, place }: SentNote,
): Promise<PreviewNote> {
  return write(
    em,
    async (tx) => {
      const { id } = (await openPreview(tx, key)).preview;
      if ((await tx.count(PreviewNoteSchema, { preview: id })) >= limits.previewNotes.max)
        throw new HttpError(507, `This preview has ${limits.previewNotes.max} notes, the most it can take.`);
      const note = tx.create(PreviewNoteSchema, {
        preview: id,
        name,
        text,
        place,
        createdAt: new Date(),
        answer: "",
        doneAt: null,
      });
      await tx.flush();
      return noteOf(note, key);
    },
    aside,
  );
}
