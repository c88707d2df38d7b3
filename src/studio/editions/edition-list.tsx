import { Download, ExternalLink, GitCompare, Undo2 } from "lucide-react";
import { useState } from "react";
import type { EditionSummary } from "../../core/api/edition.ts";
import { dateTimeFormat } from "../../core/document/date-time.ts";
import { ApiError, sendJson, shopPath } from "../api.ts";
import { Fault } from "../shell/alert.tsx";
import { type EditionState, editionBase } from "./use-editions.ts";

interface Props {
  shop: string;
  editions: readonly EditionSummary[];
  from: EditionState | undefined;
  to: EditionState;
  /** Compares an edition with the draft. */
  compare(n: number): void;
  broughtBack(): void;
}

const icon = "grid size-7 place-items-center rounded-md text-quiet hover:bg-sand hover:text-base-content";

/** Every edition, newest first: to view, compare with the draft, or restore. */
export function EditionList({ shop, editions, from, to, compare, broughtBack }: Props) {
  const [trouble, setTrouble] = useState<string | undefined>(undefined);
  const bringBack = async (n: number) => {
    try {
      await sendJson("POST", `${shopPath(shop)}/editions/${n}/restore`, {});
      broughtBack();
    } catch (error) {
      setTrouble(
        error instanceof ApiError
          ? error.message
          : "The edition couldn’t be restored. Check the connection and try again.",
      );
    }
  };
  return (
    <>
      <Fault text={trouble} className="text-[13px]" />
      <ol className="flex flex-col gap-1" aria-label="Published editions">
        {editions.map(({ n, note, createdAt }, at) => (
          <li
            key={n}
            className={`flex flex-col rounded-lg border p-2 ${n === from || n === to ? "border-primary bg-plum-soft" : "border-hair"}`}
          >
            <span className="flex items-center gap-1">
              <b className="flex-1 font-semibold">Edition {n}</b>
              <a
                className={icon}
                href={`${editionBase(shop, n)}/`}
                target="_blank"
                rel="noreferrer"
                aria-label={`View edition ${n}`}
                title="View it"
              >
                <ExternalLink size={14} aria-hidden />
              </a>
              <a
                className={icon}
                href={`/api${shopPath(shop)}/editions/${n}/files.zip`}
                download
                aria-label={`Files of edition ${n}`}
                title="Download it as files, for trellis serve"
              >
                <Download size={14} aria-hidden />
              </a>
              <button
                type="button"
                className={icon}
                aria-label={`Compare edition ${n} with the draft`}
                title="Compare it with the draft"
                onClick={() => compare(n)}
              >
                <GitCompare size={14} aria-hidden />
              </button>
              <button
                type="button"
                className={icon}
                aria-label={`Restore edition ${n}`}
                title="Restore into the draft; each view can undo it"
                onClick={() => bringBack(n)}
              >
                <Undo2 size={14} aria-hidden />
              </button>
            </span>
            <span className="flex flex-wrap items-center gap-2 text-[13px] text-quiet">
              {dateTimeFormat.format(new Date(createdAt))}
              {at === 0 ? <span className="badge badge-sm border-success/40 text-success">shoppers see it</span> : null}
            </span>
            {note ? <span className="text-[13px]">{note}</span> : null}
          </li>
        ))}
      </ol>
    </>
  );
}
