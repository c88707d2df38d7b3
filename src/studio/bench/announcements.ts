import type { Announcements, UniqueIdentifier } from "@dnd-kit/core";

/** What those hear who move an entry of a list by keys: which one, and where it is. */
export function announcementsFor(ids: readonly string[], titleOf: (id: UniqueIdentifier) => string): Announcements {
  const place = (id: UniqueIdentifier) => `place ${ids.indexOf(String(id)) + 1} of ${ids.length}`;
  return {
    onDragStart: ({ active }) => `${titleOf(active.id)} is picked up at ${place(active.id)}.`,
    onDragOver: ({ active, over }) => (over ? `${titleOf(active.id)} is picked up, now at ${place(over.id)}.` : undefined),
    onDragEnd: ({ active, over }) => `${titleOf(active.id)} is put down${over ? ` at ${place(over.id)}` : ""}.`,
    onDragCancel: ({ active }) => `${titleOf(active.id)} is back where it was.`,
  };
}
