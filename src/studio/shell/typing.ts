import { useEffect, useRef, useState, useSyncExternalStore } from "react";
import type { Step } from "../../core/document/patch.ts";

/** Typing in one field, from its beginning until blur: everything it saves is one step of the history. */
export class Typing {
  #step: Step | undefined;

  /** Saves the text typed so far. @param save changes a document synchronously */
  run(save: () => void): void {
    current = this;
    try {
      save();
    } finally {
      current = undefined;
    }
  }

  /** Whether a step was made by this typing. */
  made(step: Step | undefined): boolean {
    return step !== undefined && this.#step === step;
  }

  note(step: Step | undefined): void {
    this.#step = step;
  }
}

let current: Typing | undefined;
/** The typing that is saving at this moment. */
export const currentTyping = (): Typing | undefined => current;

/** Delay after the last key before saving, in ms. */
const pause = 400;

/** Number of fields with text that is not yet part of a document. */
let unsaved = 0;
const listeners = new Set<() => void>();
function count(by: number): void {
  unsaved += by;
  for (const listener of listeners) listener();
}
/** Whether some typed text is not in a document yet. */
export const isTypingUnsaved = (): boolean => unsaved > 0;
export const useTypingUnsaved = (): boolean =>
  useSyncExternalStore((listener) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  }, isTypingUnsaved);

interface Typed {
  text: string;
  /** Registers the typed text; it is saved a moment later. */
  type(text: string): void;
  /** Saves the typed text, as the field is left. */
  leave(): void;
  /** Restores the text from when typing began. */
  cancel(): void;
}

/**
 * The text of a field that saves at each pause in typing, on blur, and on unmount.
 * @param save changes a document synchronously
 * @param canSave whether a text is complete while typing; by default any with a letter
 * @param whilePaused whether pauses save at all; a name waits until the field is left
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

  // A value from elsewhere replaces the text; one typed here is already in the field.
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
