import { Wrench } from "lucide-react";
import { useMemo } from "react";
import { toast } from "sonner";
import { auditLook, type LookIssue } from "../../core/look/audit.ts";
import { fixAll, fixFor } from "../../core/look/contrast-fix.ts";
import { spokenToken } from "../../core/look/edit.ts";
import { tokens } from "../../core/look/tokens.ts";
import { useLook, useLookDocument } from "./look-context.ts";

const words = (miss: LookIssue): string => {
  const px = (value: number) => `${Math.round(value)} px`;
  if (miss.kind === "target")
    return `${px(miss.is)}, but ${miss.offered ? "touch screens need" : "needs at least"} ${px(miss.needed)}`;
  if (miss.kind === "same picture") return "Chosen and unchosen show the same picture. Add one for chosen.";
  const ratio = `${miss.is.toFixed(2)}:1, needs ${miss.needed}:1`;
  return miss.kind === "alone"
    ? `Shown by colour alone, at ${ratio}`
    : `${miss.seen?.as === "text" ? "Text" : miss.seen?.as} at ${ratio}`;
};

/** Contrast and target issues, worst first, each with its fix; or all at once. */
export function JudgedList() {
  const { store, session } = useLook();
  const look = useLookDocument();
  const misses = useMemo(() => auditLook(look), [look]);
  const faults = misses.filter(({ offered }) => !offered);
  const { apply } = store.getState();
  const put = (label: string, next: Pick<typeof look, "values" | "dark">) =>
    apply({
      words: label,
      change: (draft) => {
        draft.values = { ...next.values };
        draft.dark = { ...next.dark };
      },
    });
  if (misses.length === 0)
    return (
      <p className="py-4 text-quiet">
        Nothing to fix: all text has 4.5:1 and controls and focus have 3:1, in every state and on every band.
      </p>
    );
  return (
    <div className="flex flex-col gap-2">
      <div className="flex items-center justify-between">
        <p className="text-quiet">
          {faults.length} {faults.length === 1 ? "finding" : "findings"}
          {misses.length > faults.length ? `, ${misses.length - faults.length} possible improvements` : ""}. A fix keeps
          a colour’s hue and only makes it lighter or darker.
        </p>
        {faults.length > 0 ? (
          <button type="button" className="btn btn-primary btn-xs" onClick={() => put("Fix all", fixAll(look))}>
            <Wrench size={12} aria-hidden /> Fix all
          </button>
        ) : null}
      </div>
      <ul className="flex flex-col" aria-label="Findings">
        {misses.map((miss) => {
          const token = tokens.get(miss.token);
          const name = token ? spokenToken(token) : miss.token;
          return (
            <li
              key={`${miss.kind} ${miss.token} ${miss.state} ${miss.scheme} ${miss.is} ${miss.bands}`}
              className="flex items-center gap-2 border-b border-hair py-1.5"
            >
              {miss.seen ? (
                <span
                  aria-hidden
                  className="grid size-7 flex-none place-items-center rounded-md border border-hair text-[13px] font-semibold"
                  style={{ background: miss.seen.grounds[0], color: miss.seen.colour }}
                >
                  Aa
                </span>
              ) : null}
              <button
                type="button"
                className="min-w-0 flex-1 text-start"
                onClick={() => token && session.setState({ part: token.part, state: token.state })}
              >
                <span className="block leading-tight font-medium">{name}</span>
                <span className="block text-[13px] text-quiet">
                  {words(miss)}
                  {miss.scheme === "dark" ? " · dark" : ""}
                  {miss.bands.length < 3 && miss.scheme === "light" ? ` · ${miss.bands.join(", ")}` : ""}
                </span>
              </button>
              <button
                type="button"
                className="btn btn-xs"
                aria-label={`Fix ${name}`}
                onClick={() => {
                  const mend = fixFor(look, miss);
                  if (mend) put(`Fix ${name}`, mend.look);
                  else if (miss.kind === "same picture") session.setState({ part: miss.part, state: "chosen" });
                  else toast(`No single change fixes “${name}”. Change its background first.`);
                }}
              >
                Fix
              </button>
            </li>
          );
        })}
      </ul>
    </div>
  );
}
