import { createContext, useContext } from "react";
import { useStore } from "zustand";
import type { PanelDocument } from "../../core/panel/panel-schema.ts";
import type { DocumentState, DocumentStore } from "../shell/document-store.ts";
import type { Stepped } from "../shell/history.ts";
import type { Session, SessionStore } from "./session.ts";

export type PanelStore = DocumentStore<PanelDocument>;

export interface Bench {
  /** The open panel, and its slug. */
  panel: PanelStore;
  slug: string;
  session: SessionStore;
  /** All documents changed by the bench. */
  stores: readonly Stepped[];
  /** Adds a document to the bench's history. */
  include(store: Stepped): void;
}

export const BenchContext = createContext<Bench | undefined>(undefined);

export function useBench(): Bench {
  const bench = useContext(BenchContext);
  if (!bench) throw new Error("This component is outside the panel view.");
  return bench;
}

export const usePanel = <T>(read: (state: DocumentState<PanelDocument>) => T): T => useStore(useBench().panel, read);
export const useSession = <T>(read: (state: Session) => T): T => useStore(useBench().session, read);
