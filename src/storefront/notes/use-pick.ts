import { useLayoutEffect, useState } from "preact/hooks";
import type { NotePlace } from "../../core/api/preview.ts";
import { type FoundPlace, placeOf } from "./note-place.ts";

interface Pick {
  /** Whether a place is being picked. */
  on: boolean;
  base: string;
  /** The element around everything of ours, which can't be picked. */
  host: HTMLElement;
  picked(place: NotePlace): void;
  cancel(): void;
}

/** Address of the open page within the preview. */
export const pageHere = (base: string): string =>
  `/${decodeURI(location.pathname.slice(base.length)).split("/").filter(Boolean).join("/")}`;

/** A place under the pointer, or of what has the focus, with its point as shares of the page. */
const within = (place: FoundPlace["place"], base: string, x: number, y: number): NotePlace => {
  const { scrollWidth, scrollHeight } = document.documentElement;
  const share = (at: number, of: number) => Math.min(1, Math.max(0, of > 0 ? at / of : 0));
  return {
    ...place,
    page: pageHere(base),
    x: share(x + scrollX, scrollWidth),
    y: share(y + scrollY, scrollHeight),
  };
};

/**
 * While a place is being picked, the page does nothing else: a click picks what is under the pointer, Enter what has
 * the focus, Escape cancels. @returns the element that a click or Enter would pick
 */
export function usePick({ on, base, host, picked, cancel }: Pick): HTMLElement | undefined {
  const [pointed, point] = useState<HTMLElement | undefined>(undefined);
  useLayoutEffect(() => {
    if (!on) return;
    const isOurs = (event: Event) => event.composedPath().includes(host);
    const stop = (event: Event) => {
      event.preventDefault();
      event.stopPropagation();
    };
    const over = (event: Event) => {
      if (isOurs(event) || !(event.target instanceof Element)) return point(undefined);
      point(placeOf(event.target, base).element);
    };
    const press = (event: Event) => {
      if (!isOurs(event)) stop(event);
    };
    const click = (event: MouseEvent) => {
      if (isOurs(event) || !(event.target instanceof Element)) return;
      stop(event);
      picked(within(placeOf(event.target, base).place, base, event.clientX, event.clientY));
    };
    const key = (event: KeyboardEvent) => {
      if (event.key === "Escape") {
        stop(event);
        return cancel();
      }
      if (isOurs(event) || event.key === "Tab" || !(event.target instanceof Element)) return;
      if (event.key !== "Enter" && event.key !== " ") return;
      stop(event);
      const { left, top } = event.target.getBoundingClientRect();
      picked(within(placeOf(event.target, base).place, base, left, top));
    };
    const listeners: [keyof WindowEventMap, (event: never) => void][] = [
      ["pointerover", over],
      ["focusin", over],
      ["pointerdown", press],
      ["mousedown", press],
      ["pointerup", press],
      ["mouseup", press],
      ["click", click],
      ["submit", press],
      ["keydown", key],
    ];
    for (const [name, listener] of listeners) addEventListener(name, listener as EventListener, { capture: true });
    return () => {
      for (const [name, listener] of listeners) removeEventListener(name, listener as EventListener, { capture: true });
      point(undefined);
    };
  }, [on, base, host, picked, cancel]);
  return pointed;
}
