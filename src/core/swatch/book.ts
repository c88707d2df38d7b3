import { type Source, type SwatchDocument, type SwatchEntry, sources } from "./book-schema.ts";

/** The entry of a value in a field: the field's own, otherwise the shared one. */
export function entryOf({ shared, own }: SwatchDocument, field: string, id: string): SwatchEntry | undefined {
  const inField = Object.hasOwn(own, field) ? own[field] : undefined;
  if (inField && Object.hasOwn(inField, id)) return inField[id];
  return Object.hasOwn(shared, id) ? shared[id] : undefined;
}

/** Whether a value has its own entry in a field. */
export const differs = ({ own }: SwatchDocument, field: string, id: string): boolean =>
  Object.hasOwn(own, field) && Object.hasOwn(own[field] ?? {}, id);

/** The order of sources of a field. */
export const swatchOrder = ({ order }: SwatchDocument, field: string): readonly Source[] =>
  (Object.hasOwn(order, field) ? order[field] : undefined) ?? sources;
