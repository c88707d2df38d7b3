import { ArrowDown, ArrowUp, X } from "lucide-react";
import type { ReactNode } from "react";

interface Props {
  /** The name of the line. */
  name: string;
  /** Its index, and the number of lines. */
  at: number;
  of: number;
  move(to: number): void;
  remove(): void;
}

/** Buttons to move up, down and remove a line of a short list. */
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

/** A small icon button. */
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

/** A link that removes the subject of a form. */
export const RemoveLink = ({ words, run }: { words: string; run(): void }) => (
  <button type="button" className="link justify-self-start text-[13px]" onClick={run}>
    {words}
  </button>
);
