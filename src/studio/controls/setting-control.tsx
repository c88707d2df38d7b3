import { useEffect, useState } from "react";
import type { SettingDefinition } from "../../core/settings/setting-definitions.ts";
import type { SettingValue } from "../../core/settings/settings.ts";
import { Fault } from "../shell/alert.tsx";
import { PicturePick } from "./picture-pick.tsx";
import { TextControl } from "./text-control.tsx";
import { Translations } from "./translations.tsx";

/** Value of a setting, or words by language. */
export type SetValue = SettingValue | Readonly<Record<string, string>>;

interface Props {
  /** For assistive technology. */
  name: string;
  definition: SettingDefinition;
  value: SetValue;
  set(value: SetValue): void;
  /** In a cell of the lattice. */
  small?: boolean;
}

const input = "input input-xs w-full min-w-0 tabular-nums";

/** The control of a setting, by its kind. A standalone choice uses {@link Choice} instead. */
export function SettingControl({ name, definition, value, set, small = false }: Props) {
  switch (definition.kind) {
    case "choice":
      return (
        <select
          className="select select-xs w-full min-w-0 px-1.5"
          aria-label={name}
          value={String(value)}
          onChange={(event) => set(event.target.value as SettingValue)}
        >
          {Object.entries(definition.choices).map(([key, label]) => (
            <option key={key} value={key}>
              {label}
            </option>
          ))}
        </select>
      );
    case "yes-no":
      return (
        <input
          type="checkbox"
          role="switch"
          aria-checked={value === true}
          className="toggle toggle-xs"
          aria-label={name}
          checked={value === true}
          onChange={(event) => set(event.target.checked)}
        />
      );
    case "number":
      return (
        <NumberControl
          name={name}
          definition={definition}
          value={typeof value === "number" ? value : null}
          set={set}
          small={small}
        />
      );
    case "text":
      return <TextControl name={name} value={String(value)} longest={definition.longest} set={set} />;
    case "picture":
      return <PicturePick label={name} value={String(value)} set={set} />;
    case "words":
      return (
        <span className="grid gap-1">
          <Translations
            of={name}
            longest={definition.longest}
            others={isWords(value) ? value : {}}
            set={(others) => set(others ?? {})}
          />
        </span>
      );
    case "numbers":
      return (
        <TextControl
          name={name}
          value={Array.isArray(value) ? value.join(" ") : ""}
          longest={400}
          faultIn={(text) => faultInNumbers(text, definition.most)}
          set={(text) => set([...new Set(partsOf(text).map(numberIn))])}
        />
      );
  }
}

const isWords = (value: SetValue): value is Readonly<Record<string, string>> =>
  typeof value === "object" && value !== null && !Array.isArray(value);

const partsOf = (text: string): string[] => text.split(/[\s;]+/).filter(Boolean);
const numberIn = (part: string): number => Number(part.replace(",", "."));

/** Why a text isn't a list of numbers; undefined if it is. */
function faultInNumbers(text: string, most: number): string | undefined {
  const parts = partsOf(text);
  const odd = parts.find((part) => !Number.isFinite(numberIn(part)));
  if (odd !== undefined) return `“${odd}” is not a number. Separate numbers with spaces, such as 10 25 50.`;
  return parts.length > most ? `Enter at most ${most} numbers; these are ${parts.length}.` : undefined;
}

interface NumberProps extends Pick<Props, "name" | "set" | "small"> {
  definition: Extract<SettingDefinition, { kind: "number" }>;
  value: number | null;
}

/** A whole number, saved on Enter, arrow keys or blur. An empty field means the default. */
function NumberControl({
  name,
  definition: { min, max, step, unit, none, unset, fallback },
  value,
  set,
  small,
}: NumberProps) {
  const shown = value === null || (value === 0 && none) ? "" : String(value);
  const [text, setText] = useState(shown);
  const [fault, setFault] = useState<string | undefined>(undefined);
  useEffect(() => setText(shown), [shown]);
  const save = (now: string, unread = false) => {
    // A field does not expose invalid text; it stays there for correction.
    setFault(unread ? "Enter a number." : undefined);
    if (unread) return;
    const number = Number(now.replace(",", "."));
    if (now.trim() === "") set(none ? 0 : typeof fallback === "number" ? fallback : null);
    else if (Number.isFinite(number)) set(Math.max(min, Math.min(max, number)));
    else setText(shown);
  };
  return (
    <span className="flex w-full items-center gap-1.5">
      <input
        type="number"
        className={`${input} ${small ? "px-1.5" : "max-w-24"}`}
        aria-label={name}
        aria-invalid={fault !== undefined}
        value={text}
        min={min}
        max={max}
        step={step}
        placeholder={none ?? unset ?? "auto"}
        onChange={(event) => {
          setText(event.target.value);
          // Arrow buttons and keys save at once; typing saves when it is finished.
          if (!(event.nativeEvent instanceof InputEvent) || !event.nativeEvent.inputType) save(event.target.value);
        }}
        onBlur={(event) => save(event.target.value, event.target.validity.badInput)}
        onKeyDown={(event) =>
          event.key === "Enter" && save(event.currentTarget.value, event.currentTarget.validity.badInput)
        }
      />
      <Fault text={fault} className="text-[13px]" />
      {small || unit === "" ? null : <span className="text-[13px] text-quiet">{unit}</span>}
    </span>
  );
}
