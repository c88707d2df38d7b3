import { ArrowDown, ArrowUp, X } from "lucide-react";
import type { ReactNode } from "react";

/** A list with one entry in another place. */
export function moved<T>(list: readonly T[], from: number, to: number): T[] {
  const next = [...list];
  next.splice(to, 0, ...next.splice(from, 1));
  return next;
}

/** A list with one entry changed. */
export const replaced = <T,>(list: readonly T[], at: number, entry: T): T[] =>
  list.map((old, n) => (n === at ? entry : old));

/** A list without one entry. */
export const without = <T,>(list: readonly T[], at: number): T[] => list.filter((_, n) => n !== at);

interface Props {
  /** What the line is called. */
  name: string;
  /** Its place, and how many there are. */
  at: number;
  of: number;
  move(to: number): void;
  remove(): void;
}

/** Up, down and away, at the end of a line of a short list. */
export const LineTools = ({ name, at, of, move, remove }: Props) => (
  <>
    <IconButton label={`Move ${name} up`} off={at === 0} run={() => move(at - 1)}>
      <ArrowUp size={13} aria-hidden />
    </IconButton>
    <IconButton label={`Move ${name} down`} off={at === of - 1} run={() => move(at + 1)}>
      <ArrowDown size={13} aria-hidden />
    </IconButton>
    <IconButton label={`Remove ${name}`} run={remove}>
      <X size={13} aria-hidden />
    </IconButton>
  </>
);

/** A small button with a picture. */
export const IconButton = ({
  label,
  off = false,
  run,
  children,
}: {
  label: string;
  off?: boolean;
  run(): void;
  children: ReactNode;
}) => (
  <button
    type="button"
    className="grid size-6 flex-none place-items-center rounded-md text-quiet hover:bg-sand disabled:opacity-30"
    aria-label={label}
    title={label}
    disabled={off}
    onClick={run}
  >
    {children}
  </button>
);

/** Takes what a form is about away. */
export const RemoveLink = ({ words, run }: { words: string; run(): void }) => (
  <button type="button" className="link justify-self-start text-[13px]" onClick={run}>
    {words}
  </button>
);
