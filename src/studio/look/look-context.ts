import { createContext, useContext } from "react";
import { createStore, type StoreApi, useStore } from "zustand";
import {
  changeStyle,
  resetToken,
  setDark,
  setToken,
  spokenToken,
  withoutValue,
  withValue,
} from "../../core/look/edit.ts";
import type { LookDocument } from "../../core/look/look-schema.ts";
import { type LookValues, type Scheme, tokenSettingOf } from "../../core/look/resolve.ts";
import type { Token } from "../../core/look/tokens.ts";
import type { TokenState, TokenValue } from "../../core/look/value.ts";
import type { SpecimenWords } from "../../core/panel/look/specimen.ts";
import type { Band, Banded } from "../../core/settings/band.ts";
import type { Vision } from "../../core/swatch/measure.ts";
import type { DocumentStore } from "../shell/document-store.ts";

/** The background of specimens: the shop's own, or a different one for comparison. */
export const grounds = ["shop", "white", "dark", "picture"] as const;
export type Ground = (typeof grounds)[number];

/** View state of a look; never saved. */
export interface LookSession {
  band: Band;
  scheme: Scheme;
  ground: Ground;
  vision: Vision;
  words: SpecimenWords;
  direction: "ltr" | "rtl";
  /** The part being styled, and its state. */
  part: string;
  state: TokenState;
  /** The option style being edited instead of the look. */
  style: string | undefined;
}

export type LookSessionStore = StoreApi<LookSession>;

export const createLookSession = (): LookSessionStore =>
  createStore<LookSession>(() => ({
    band: "wide",
    scheme: "light",
    ground: "shop",
    vision: "usual",
    words: "usual",
    direction: "ltr",
    part: "tile",
    state: "rest",
    style: undefined,
  }));

/** The target of token values: a look, an option style of it, or a facet. */
export interface StyleTarget {
  /** All values in effect, for showing resolved tokens. */
  look: LookValues;
  /** Whether the target itself sets a token. */
  sets(token: Token): boolean;
  set(token: Token, value: TokenValue): void;
  reset(token: Token): void;
}

/** A target that sets tokens in a look, or in one of its option styles, on a band and in a scheme. */
export function targetIn(
  store: DocumentStore<LookDocument>,
  look: LookDocument,
  { band, scheme, style: id }: Pick<LookSession, "band" | "scheme" | "style">,
): StyleTarget {
  const { apply } = store.getState();
  const style = look.styles.find((one) => one.id === id);
  if (style) {
    const put = (token: Token, values: Readonly<Record<string, Banded<TokenValue> | undefined>>) =>
      apply(changeStyle(style.id, `${style.name}: ${spokenToken(token)}`, { values }), true);
    const base = (token: Token) => ({
      ...style.values,
      [token.name]: style.values[token.name] ?? tokenSettingOf(look, token),
    });
    return {
      look: { ...look, values: { ...look.values, ...style.values } },
      sets: (token) => Object.hasOwn(style.values, token.name),
      set: (token, value) => put(token, withValue(base(token), token, band, value)),
      reset: (token) => put(token, withoutValue(style.values, token, band)),
    };
  }
  const dark = scheme === "dark";
  return {
    look,
    sets: (token) =>
      dark && token.type === "colour"
        ? Object.hasOwn(look.dark, token.name)
        : look.values[token.name]?.[band] !== undefined,
    set: (token, value) =>
      apply(dark && token.type === "colour" ? setDark(token, value) : setToken(token, band, value), true),
    reset: (token) => apply(dark && token.type === "colour" ? setDark(token, undefined) : resetToken(token, band)),
  };
}

export interface OpenLook {
  store: DocumentStore<LookDocument>;
  slug: string;
  session: LookSessionStore;
}

export const LookContext = createContext<OpenLook | undefined>(undefined);

export function useLook(): OpenLook {
  const open = useContext(LookContext);
  if (!open) throw new Error("This component is outside the look view.");
  return open;
}

export const useLookDocument = (): LookDocument => useStore(useLook().store, ({ document }) => document);
export const useLookSession = <T>(read: (session: LookSession) => T): T => useStore(useLook().session, read);
