import { type Source, type SwatchDocument, type SwatchEntry, sources } from "./book-schema.ts";

/** The entry of a value in a field: its own there, else the shared one. */
export function entryOf({ shared, own }: SwatchDocument, field: string, id: string): SwatchEntry | undefined {
  const inField = Object.hasOwn(own, field) ? own[field] : undefined;
  if (inField && Object.hasOwn(inField, id)) return inField[id];
  return Object.hasOwn(shared, id) ? shared[id] : undefined;
}

/** Whether a value differs in a field from what it is elsewhere. */
export const differs = ({ own }: SwatchDocument, field: string, id: string): boolean =>
  Object.hasOwn(own, field) && Object.hasOwn(own[field] ?? {}, id);

/** The order of fallback of a field. */
export const swatchOrder = ({ order }: SwatchDocument, field: string): readonly Source[] =>
  (Object.hasOwn(order, field) ? order[field] : undefined) ?? sources;
