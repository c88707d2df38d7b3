import type { LookPart } from "../../core/look/part.ts";
import { parts } from "../../core/look/tokens.ts";
import { states, type TokenState } from "../../core/look/value.ts";

/** The part's handle, if it isn't the whole element. */
const grips: Readonly<Record<string, string>> = {
  box: ".zt-box > input",
  switch: ".zt-switch > input, .zt-knob",
  tree: ".zt-twig",
  plain: ".zt-plain-option .zt-name",
  slider: ".zt-track, .zt-track > input, .zt-bars, .zt-bars > path, .zt-bubble",
};

const matches = (element: Element, name: string, { at }: LookPart): boolean => {
  const grip = grips[name] ?? at;
  return grip !== "" && element.matches(grip);
};

/**
 * The parts that an element belongs to, nearest first; if an element belongs to several, the most specific selector.
 */
export function partsAt(path: readonly EventTarget[]): string[] {
  const elements = path.filter((one): one is Element => one instanceof Element);
  return elements.flatMap((element) =>
    Object.entries(parts)
      .filter(([name, part]) => matches(element, name, part))
      .sort(([, a], [, b]) => b.at.length - a.at.length)
      .map(([name]) => name),
  );
}

/** The states of a part. */
export const statesOfPart = (name: string): TokenState[] => {
  const own = parts[name]?.states;
  return own ? states.filter((state) => own[state] !== undefined) : ["rest"];
};
