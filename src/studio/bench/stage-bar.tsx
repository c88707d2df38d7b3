import { Moon } from "lucide-react";
import { useMemo } from "react";
import { isTyping, useKeys } from "../shell/keys.ts";
import { SightChoice } from "../shell/sight.tsx";
import { useBench, useSession } from "./bench-context.ts";
import { PageChoice } from "./page-choice.tsx";
import type { Session } from "./session.ts";

type Choice<K extends "frames" | "zoom"> = readonly [value: Session[K], label: string, key: string];

const frames: readonly Choice<"frames">[] = [
  ["both", "Both", "1"],
  ["wide", "Wide", "2"],
  ["phone", "Phone", "3"],
];
const zooms: readonly Choice<"zoom">[] = [
  ["read", "Read", "4"],
  ["fit", "Fit", "5"],
  ["half", "Half", "6"],
  ["actual", "Actual", "7"],
];

/** Above the stage: the page, the frames, and their scale. */
export function StageBar() {
  const { session } = useBench();
  useKeys(
    useMemo(() => {
      const set = (change: Partial<Session>) => (event: KeyboardEvent) => {
        if (!isTyping(event)) session.setState(change);
      };
      return Object.fromEntries([
        ...frames.map(([value, , key]) => [key, set({ frames: value })]),
        ...zooms.map(([value, , key]) => [key, set({ zoom: value })]),
        [
          "a",
          (event: KeyboardEvent) => isTyping(event) || session.setState(({ arranging }) => ({ arranging: !arranging })),
        ],
        ["0", (event: KeyboardEvent) => isTyping(event) || session.setState(({ folded }) => ({ folded: !folded }))],
      ]);
    }, [session]),
  );
  return (
    <div className="mx-5 flex flex-none flex-wrap items-center gap-x-3 gap-y-1 pt-2">
      <PageChoice />
      <TryOrArrange />
      <LightOrDark />
      <Sight />
      <span className="ms-auto" />
      <Switch name="frames" label="Frames" choices={frames} />
      <Switch name="zoom" label="Size" choices={zooms} />
    </div>
  );
}

/** The simulated colour vision. */
function Sight() {
  const { session } = useBench();
  return <SightChoice sight={useSession((state) => state.sight)} set={(sight) => session.setState({ sight })} />;
}

/** Light or dark mode; only if a look has dark colours. */
function LightOrDark() {
  const { session } = useBench();
  const dark = useSession((state) => state.dark);
  const there = useSession((state) => state.hasDark);
  if (!there) return null;
  return (
    <button
      type="button"
      className={`btn btn-ghost btn-xs btn-square ${dark ? "bg-primary text-primary-content" : ""}`}
      aria-pressed={dark}
      aria-label="Show in dark mode"
      title="Show in dark mode"
      onClick={() => session.setState({ dark: !dark })}
    >
      <Moon size={14} aria-hidden />
    </button>
  );
}

/** Whether the pages are for trying or for arranging. */
function TryOrArrange() {
  const { session } = useBench();
  const arranging = useSession((state) => state.arranging);
  return (
    <fieldset className="join flex-none" aria-label="Mode of the live page">
      {[false, true].map((on) => (
        <button
          key={String(on)}
          type="button"
          aria-pressed={on === arranging}
          title={on ? "Move, rename and add on the page itself (A)" : "Use the page as a shopper would (A)"}
          className={`btn btn-xs join-item h-7 px-2 font-medium ${on === arranging ? "bg-accent" : "bg-base-100 text-quiet"}`}
          onClick={() => session.setState({ arranging: on })}
        >
          {on ? "Arrange" : "Try"}
        </button>
      ))}
    </fieldset>
  );
}

function Switch<K extends "frames" | "zoom">({
  name,
  label,
  choices,
}: {
  name: K;
  label: string;
  choices: readonly Choice<K>[];
}) {
  const { session } = useBench();
  const now = useSession((state) => state[name]);
  return (
    <fieldset className="join flex-none" aria-label={label}>
      {choices.map(([value, text, key]) => (
        <button
          key={text}
          type="button"
          aria-pressed={value === now}
          title={`${text} (${key})`}
          className={`btn btn-xs join-item h-7 px-2 font-medium ${value === now ? "bg-plum-soft" : "bg-base-100 text-quiet"}`}
          onClick={() => session.setState({ [name]: value })}
        >
          {text}
        </button>
      ))}
    </fieldset>
  );
}
