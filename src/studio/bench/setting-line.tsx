import { RotateCcw } from "lucide-react";
import { spokenValue } from "../../core/panel/edit.ts";
import { type Band, type Banded, bands, isOwn, resolve } from "../../core/settings/band.ts";
import type { SettingDefinition } from "../../core/settings/setting-definitions.ts";
import { Choice } from "../controls/choice.tsx";
import { SettingControl } from "../controls/setting-control.tsx";
import { columns } from "./columns.ts";

type Value = Parameters<typeof SettingControl>[0]["value"];

interface Line {
  definition: SettingDefinition;
  /** The owner of the setting, in words. */
  of: string;
  /** It is not at its default. */
  isSet: boolean;
  reset(): void;
}

interface SingleProps extends Line {
  value: Value;
  set(value: Value): void;
  /** Why it has no effect at the moment. */
  off?: string | undefined;
}

/** A setting with one value for every band. */
export function SingleLine({ definition, of, value, isSet, set, reset, off }: SingleProps) {
  return (
    <div className="px-9 pb-1">
      <div className="flex min-h-7 items-center gap-2">
        <SettingLabel definition={definition} of={of} isSet={isSet} reset={reset} className="w-26 flex-none" />
        {off ? (
          <span className="text-[13px] text-quiet">{off}</span>
        ) : definition.kind === "choice" ? (
          <Choice
            label={definition.label}
            value={String(value)}
            options={Object.entries(definition.choices).map(([key, label]) => ({ value: key, label }))}
            set={(next) => set(next as Value)}
          />
        ) : (
          <SettingControl name={`${definition.label} of ${of}`} definition={definition} value={value} set={set} />
        )}
      </div>
      <About definition={definition} />
    </div>
  );
}

interface BandedProps extends Line {
  setting: Banded<Value>;
  set(value: Value, band: Band): void;
  follow(band: Band): void;
  /** Why it has no effect on a band. */
  off?(band: Band): string | undefined;
}

/** A setting with one cell per band, in the lattice's columns. */
export function BandedLine({ definition, of, setting, isSet, set, reset, follow, off = () => undefined }: BandedProps) {
  const reasons = [...new Set(bands.flatMap((band) => off(band) ?? []))];
  return (
    <div className={`${columns} min-h-8`}>
      <span />
      <div className="ps-2.5 py-0.5">
        <SettingLabel definition={definition} of={of} isSet={isSet} reset={reset} className="" />
        <About definition={definition} more={reasons.join(" ")} />
      </div>
      {bands.map((band) => {
        const own = band !== "wide" && isOwn(setting, band);
        const reason = off(band);
        return (
          <span key={band} className={`relative grid place-items-center ${band === "wide" || own ? "" : "opacity-75"}`}>
            {reason ? (
              <button
                type="button"
                className="text-quiet"
                title={reason}
                aria-label={`${definition.label} on ${band}: ${reason}`}
              >
                –
              </button>
            ) : (
              <SettingControl
                name={`${definition.label} of ${of} on ${band}`}
                definition={definition}
                value={resolve(setting, band)}
                set={(next) => set(next, band)}
                small
              />
            )}
            {own && !reason ? (
              <button
                type="button"
                className="absolute -end-1.5 -top-1 grid size-4 place-items-center rounded-full bg-accent text-accent-content"
                aria-label={`${definition.label} of ${of} on ${band}: use the wider band’s`}
                title="Use the wider band’s"
                onClick={() => follow(band)}
              >
                <RotateCcw size={10} aria-hidden />
              </button>
            ) : null}
          </span>
        );
      })}
    </div>
  );
}

/** A setting's explanation, and why it has no effect here, if so. */
const About = ({ definition: { about }, more = "" }: { definition: SettingDefinition; more?: string }) =>
  about === "" && more === "" ? null : (
    <p className="text-[12px] leading-tight text-quiet">
      {about}
      {about !== "" && more !== "" ? ". " : ""}
      {more}
    </p>
  );

/** A setting's label; one that differs from its default has a mark that resets it. */
function SettingLabel({ definition, of, isSet, reset, className }: Line & { className: string }) {
  const { label, fallback } = definition;
  return (
    <span className={`flex items-center gap-1 text-[13px] ${className}`}>
      {label}
      {isSet ? (
        <button
          type="button"
          className="grid size-5 place-items-center rounded-full"
          aria-label={`${label} of ${of}: back to its default`}
          title={`Back to its default: ${spokenValue(definition, fallback)}`}
          onClick={reset}
        >
          <span className="size-2 rounded-full bg-accent" aria-hidden />
        </button>
      ) : null}
    </span>
  );
}
