import {
  type Announcements,
  closestCenter,
  DndContext,
  KeyboardSensor,
  type Modifier,
  PointerSensor,
  type UniqueIdentifier,
  useSensor,
  useSensors,
} from "@dnd-kit/core";
import { SortableContext, sortableKeyboardCoordinates, verticalListSortingStrategy } from "@dnd-kit/sortable";
import type { ReactNode } from "react";

interface Props {
  /** The entries in order; the same list while unchanged, if many entries depend on it. */
  ids: readonly string[];
  titleOf(id: string): string;
  /** An entry was dropped on another's position. */
  move(id: string, onto: string): void;
  children: ReactNode;
}

/** A list whose entries can be moved: dragged by their handles, or by keyboard with announcements. */
export function SortableList({ ids, titleOf, move, children }: Props) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  return (
    <DndContext
      accessibility={{ announcements: announcementsFor(ids, titleOf) }}
      sensors={sensors}
      collisionDetection={closestCenter}
      modifiers={[upAndDown]}
      onDragEnd={({ active, over }) => over && active.id !== over.id && move(String(active.id), String(over.id))}
    >
      <SortableContext items={ids as string[]} strategy={verticalListSortingStrategy}>
        {children}
      </SortableContext>
    </DndContext>
  );
}

const upAndDown: Modifier = ({ transform }) => ({ ...transform, x: 0 });

/** Announcements for moving an entry by keyboard: which one, and its position. */
function announcementsFor(ids: readonly string[], titleOf: (id: string) => string): Announcements {
  const title = (id: UniqueIdentifier) => titleOf(String(id));
  const place = (id: UniqueIdentifier) => `position ${ids.indexOf(String(id)) + 1} of ${ids.length}`;
  return {
    onDragStart: ({ active }) => `${title(active.id)} is picked up at ${place(active.id)}.`,
    onDragOver: ({ active, over }) =>
      over ? `${title(active.id)} is picked up, now at ${place(over.id)}.` : undefined,
    onDragEnd: ({ active, over }) => `${title(active.id)} is put down${over ? ` at ${place(over.id)}` : ""}.`,
    onDragCancel: ({ active }) => `${title(active.id)} is back where it was.`,
  };
}
