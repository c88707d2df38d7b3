import { useEffect, useRef, useState, useSyncExternalStore } from "react";
import type { Step } from "../../core/document/patch.ts";

/** Typing in one field, from when it begins until the field is left: all that it saves is one step of the history. */
export class Typing {
  #step: Step | undefined;

  /** Saves what is typed so far. @param save changes a document before it returns */
  run(save: () => void): void {
    current = this;
    try {
      save();
    } finally {
      current = undefined;
    }
  }

  /** Whether a step is the one that this typing has made. */
  made(step: Step | undefined): boolean {
    return step !== undefined && this.#step === step;
  }

  note(step: Step | undefined): void {
    this.#step = step;
  }
}

let current: Typing | undefined;
/** The typing that saves at this very moment. */
export const currentTyping = (): Typing | undefined => current;

/** After this many ms without a key what is typed is saved. */
const pause = 400;

/** How many fields have text in them that is not yet part of a document. */
let unsaved = 0;
const listeners = new Set<() => void>();
function count(by: number): void {
  unsaved += by;
  for (const listener of listeners) listener();
}
/** Whether something is typed that no document has yet. */
export const isTypingUnsaved = (): boolean => unsaved > 0;
export const useTypingUnsaved = (): boolean =>
  useSyncExternalStore((listener) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  }, isTypingUnsaved);

interface Typed {
  text: string;
  /** Takes what is typed now; it is saved a moment later. */
  type(text: string): void;
  /** Saves what is typed, as the field is left. */
  leave(): void;
  /** Puts the text back to what it was when typing began. */
  cancel(): void;
}

/**
 * The text of a field that saves itself at each pause in typing, when it is left, and when it goes.
 * @param save changes a document before it returns
 * @param canSave whether a text is whole while it is still typed; by default any is that has a letter
 * @param whilePaused whether pauses save at all; a text that names something waits until the field is left
 */
export function useTypedText(
  value: string,
  save: (text: string) => void,
  { canSave = (text: string) => text.trim() !== "", whilePaused = true } = {},
): Typed {
  const [text, setText] = useState(value);
  const now = useRef({ text: value, saved: value, start: value, isOpen: false, save });
  const timer = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  const typing = useRef(new Typing());
  now.current.save = save;

  // A value from elsewhere replaces the text; one that was typed here is already in the field.
  useEffect(() => {
    if (value === now.current.saved) return;
    now.current.saved = value;
    now.current.text = value;
    setText(value);
  }, [value]);

  const close = () => {
    clearTimeout(timer.current);
    if (now.current.isOpen) count(-1);
    now.current.isOpen = false;
  };
  const commit = () => {
    const state = now.current;
    if (state.text === state.saved) return;
    state.saved = state.text;
    typing.current.run(() => state.save(state.text));
  };
  const leave = () => {
    close();
    commit();
    typing.current = new Typing();
    now.current.start = now.current.saved;
  };
  const left = useRef(leave);
  left.current = leave;
  useEffect(() => () => left.current(), []);

  return {
    text,
    type(next) {
      const state = now.current;
      if (state.text === state.saved && !state.isOpen) state.start = state.saved;
      state.text = next;
      setText(next);
      if (!state.isOpen) count(1);
      state.isOpen = true;
      clearTimeout(timer.current);
      if (whilePaused && canSave(next))
        timer.current = setTimeout(() => {
          close();
          commit();
        }, pause);
    },
    leave,
    cancel() {
      const state = now.current;
      state.text = state.start;
      setText(state.start);
      leave();
    },
  };
}
