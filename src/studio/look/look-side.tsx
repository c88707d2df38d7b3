import { lazy, Suspense, useMemo, useState } from "react";
import { auditLook } from "../../core/look/audit.ts";
import { JudgedList } from "./judged-list.tsx";
import { targetIn, useLook, useLookDocument, useLookSession } from "./look-context.ts";
import { PartCard } from "./part-card.tsx";
import { StylesList } from "./styles-list.tsx";

// Large parts are loaded on demand.
const ExtraCss = lazy(async () => ({ default: (await import("./extra-css.tsx")).ExtraCss }));
const LookFiles = lazy(async () => ({ default: (await import("./look-files.tsx")).LookFiles }));

const tabs = ["Part", "Findings", "Option styles", "CSS", "Files"] as const;

/** The tabs of a look: its parts, findings, option styles, extra CSS, files. */
export function LookSide() {
  const [tab, setTab] = useState<(typeof tabs)[number]>("Part");
  const look = useLookDocument();
  const faults = useMemo(() => auditLook(look).filter(({ offered }) => !offered).length, [look]);
  return (
    <aside aria-label="Styling" className="flex w-[340px] flex-none flex-col border-s border-hair">
      <div role="tablist" className="flex h-10 flex-none items-stretch border-b border-hair px-2">
        {tabs.map((one) => (
          <button
            key={one}
            type="button"
            role="tab"
            aria-selected={one === tab}
            className={`border-b-2 px-2 whitespace-nowrap ${one === tab ? "border-accent font-semibold" : "border-transparent text-quiet hover:text-base-content"}`}
            onClick={() => setTab(one)}
          >
            {one === "Findings" && faults > 0 ? `Findings ${faults}` : one}
          </button>
        ))}
      </div>
      <div className="min-h-0 flex-1 overflow-y-auto p-3" role="tabpanel" aria-label={tab}>
        {tab === "Part" ? <StyledPart /> : null}
        {tab === "Findings" ? <JudgedList /> : null}
        {tab === "Option styles" ? <StylesList /> : null}
        <Suspense fallback={<p className="text-quiet">Loading…</p>}>
          {tab === "CSS" ? <ExtraCss /> : null}
          {tab === "Files" ? <LookFiles /> : null}
        </Suspense>
      </div>
    </aside>
  );
}

function StyledPart() {
  const { store, session } = useLook();
  const look = useLookDocument();
  const now = useLookSession((state) => state);
  const style = look.styles.find(({ id }) => id === now.style);
  return (
    <>
      {style ? (
        <p className="mb-2 flex items-center justify-between rounded-md bg-plum-soft px-2 py-1 text-[13px]">
          <span>
            Option style <b>{style.name}</b>
          </span>
          <button type="button" className="link" onClick={() => session.setState({ style: undefined })}>
            Back to the look
          </button>
        </p>
      ) : null}
      <PartCard
        target={targetIn(store, look, now)}
        band={now.band}
        scheme={now.scheme}
        part={now.part}
        state={now.state}
        pick={(part, state) => session.setState({ part, state })}
      />
    </>
  );
}
