import { createContext, useContext } from "react";
import { useStore } from "zustand";
import type { PanelDocument } from "../../core/panel/panel-schema.ts";
import type { DocumentState, DocumentStore } from "../shell/document-store.ts";
import type { Stepped } from "../shell/history.ts";
import type { Session, SessionStore } from "./session.ts";

export type PanelStore = DocumentStore<PanelDocument>;

export interface Bench {
  /** The panel that is worked on, and its place in addresses. */
  panel: PanelStore;
  slug: string;
  session: SessionStore;
  /** All documents that the bench changes. */
  stores: readonly Stepped[];
  /** Takes one more document into the bench's history. */
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
