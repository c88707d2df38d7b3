import { createContext, useContext, useEffect, useState } from "react";
import { useStore } from "zustand";
import type { ShopSummary } from "../../core/api/shop.ts";
import type { Field } from "../../core/catalogue/field.ts";
import type { MendDocument } from "../../core/catalogue/mend/mend-schema.ts";
import type { Answer } from "../../core/engine/answer.ts";
import type { Engine } from "../../core/engine/engine.ts";
import type { Question } from "../../core/engine/question.ts";
import type { PageRef } from "../../core/page/page-list.ts";
import type { PagesDocument } from "../../core/page/pages-schema.ts";
import type { FieldProfile } from "../../core/profile/profile.ts";
import type { ShopDocument } from "../../core/shop/shop-schema.ts";
import type { SwatchBook } from "../../core/swatch/view.ts";
import type { RemoteDesk } from "../desk/open-desk.ts";
import type { DocumentStore } from "./document-store.ts";

/** An open shop. Its catalogue is in a worker; the data here change with every correction. */
export interface OpenShop {
  shop: ShopSummary;
  products: number;
  variants: number;
  /** Fields with their profiles, in the catalogue's order, computed ones included. */
  profiles: readonly FieldProfile[];
  profileOf(field: string): FieldProfile | undefined;
  fieldOf(key: string): Field | undefined;
  swatches: SwatchBook;
  /** Counts for the bench. */
  engine: Engine;
  desk: RemoteDesk;
  /** The settings of all panels and pages: band limits and languages. */
  settings: DocumentStore<ShopDocument>;
  /** Which pages the shop has, and their panels. */
  pages: DocumentStore<PagesDocument>;
  mends: DocumentStore<MendDocument>;
  /** By correction id, the number of products it changes. */
  mended: Readonly<Record<string, number>>;
  /** Reloads the catalogue after it was replaced. */
  reopen(shop: ShopSummary): void;
}

export const ShopContext = createContext<OpenShop | undefined>(undefined);

/** The open shop. Only for views inside the shop's frame. */
export function useOpenShop(): OpenShop {
  const open = useContext(ShopContext);
  if (!open) throw new Error("This component is outside a shop.");
  return open;
}

/** The settings of all panels and pages of the open shop. */
export const useShopSettings = <T>(read: (settings: ShopDocument) => T): T =>
  useStore(useOpenShop().settings, ({ document }) => read(document));

/** The open shop's pages. */
export const usePages = <T>(read: (pages: PagesDocument) => T): T =>
  useStore(useOpenShop().pages, ({ document }) => read(document));

/**
 * A worker's answer, requested again when the question or the catalogue changes; the last one stays until then.
 * @param question key of the question
 */
export function useAsked<T>(ask: () => Promise<T>, question: unknown, pause = 0): T | undefined {
  const { engine } = useOpenShop();
  const [said, setSaid] = useState<T | undefined>(undefined);
  // biome-ignore lint/correctness/useExhaustiveDependencies: `ask` is made anew with every drawing; what it asks is named by the others
  useEffect(() => {
    let over = false;
    const start = () =>
      ask().then(
        (answer) => over || setSaid(answer),
        (error) => over || console.error(error),
      );
    const timer = pause > 0 ? setTimeout(start, pause) : void start();
    return () => {
      over = true;
      if (timer !== undefined) clearTimeout(timer);
    };
  }, [engine, question]);
  return said;
}

/** The engine's answer to a question, requested again when its content changes. */
export function useAnswer(question: Question): Answer | undefined {
  const { engine } = useOpenShop();
  return useAsked(async () => engine.ask(question), JSON.stringify(question));
}

const none: readonly PageRef[] = [];

/** Every page of the open shop; empty until listed. */
export function useAllPages(): readonly PageRef[] {
  const { desk } = useOpenShop();
  const pages = usePages((document) => document);
  return useAsked(() => desk.pageList(pages), pages) ?? none;
}
