import { type ReactNode, useMemo } from "react";
import { useParams } from "react-router";
import type { Action } from "./action.ts";
import { Commands } from "./commands.tsx";
import { ConflictNote } from "./conflict-note.tsx";
import type { DocumentStore } from "./document-store.ts";
import { HistoryButtons } from "./history-buttons.tsx";
import { HistoryList } from "./history-list.tsx";
import { Saved } from "./saved.tsx";
import { Strip } from "./strip.tsx";
import { shopViews } from "./views.ts";

/** A view of one document: the bar with undo and redo and whether it is saved, and the view below. */
export function DocumentFrame<D extends object>({
  store,
  what,
  actions,
  children,
}: {
  store: DocumentStore<D>;
  what: string;
  /** The view's entries in the list of all actions. */
  actions?: () => Action[];
  children: ReactNode;
}) {
  const { shop = "" } = useParams();
  const stores = useMemo(() => [store], [store]);
  return (
    <div className="flex h-full flex-col">
      <Strip views={shopViews(shop)}>
        <Saved stores={stores} />
        <div className="flex">
          <HistoryButtons stores={stores} />
          <HistoryList stores={stores} />
        </div>
      </Strip>
      <ConflictNote store={store} what={what} />
      {children}
      <Commands stores={stores} {...(actions ? { actions } : {})} />
    </div>
  );
}
