import { Ellipsis } from "lucide-react";
import { Popover } from "./popover.tsx";

/** A menu entry; without an action it says why. */
export interface Entry {
  label: string;
  /** Its further actions. */
  note?: string | undefined;
  run?(): void;
}

interface Props {
  /** Its label for assistive technology. */
  title: string;
  /** Computed when it opens. */
  entries(): readonly Entry[];
  className?: string;
  /** Name by which a command presses it. */
  act?: string;
}

/** A menu button with three dots. */
export function EntryMenu({ title, entries, className = "size-6", act }: Props) {
  return (
    <Popover
      label={`More for ${title}`}
      placement="bottom-end"
      className="w-64 p-1.5"
      trigger={(props) => (
        <button
          type="button"
          {...props}
          data-act={act}
          className={`grid ${className} place-items-center rounded-md text-quiet hover:bg-base-100 hover:text-base-content`}
          aria-label={`More for ${title}`}
          title="More"
        >
          <Ellipsis size={15} aria-hidden />
        </button>
      )}
    >
      {(close) =>
        entries().map(({ label, note, run }) => (
          <button
            key={label}
            type="button"
            disabled={!run}
            className="block w-full rounded-lg px-2.5 py-1.5 text-start hover:bg-sand disabled:text-quiet disabled:hover:bg-transparent"
            onClick={() => {
              close();
              run?.();
            }}
          >
            {label}
            {note ? <span className="block text-[13px] leading-tight text-quiet">{note}</span> : null}
          </button>
        ))
      }
    </Popover>
  );
}
