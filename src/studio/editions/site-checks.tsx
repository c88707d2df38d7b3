import { ClipboardCheck } from "lucide-react";
import { useRef, useState } from "react";
import { type SiteCheck, siteCheck } from "../../core/api/site-check.ts";
import { checkValue } from "../../core/document/schema.ts";
import { fitBars } from "../../core/page/bars.ts";
import { setBars } from "../../core/page/edit.ts";
import { siteProblems } from "../../core/report/site-problems.ts";
import { Fault } from "../shell/alert.tsx";
import { useOpenShop } from "../shell/shop-context.ts";

/** Reads the report of a page that has checked itself: what is wrong there, and the bars to take over. */
export function SiteChecks() {
  const input = useRef<HTMLInputElement>(null);
  const [checks, setChecks] = useState<readonly SiteCheck[]>([]);
  const [fault, setFault] = useState<string | undefined>(undefined);
  const read = async (files: readonly File[]) => {
    setFault(undefined);
    for (const file of files)
      try {
        const found = checkValue("check of a page", siteCheck, JSON.parse(await file.text()));
        setChecks((known) => [...known.filter(({ address }) => address !== found.address), found]);
      } catch {
        setFault(`${file.name} is not the report of a page’s check. Download it on the page at #trellis-check.`);
      }
  };
  return (
    <section
      aria-label="Checks of pages"
      className="flex flex-col gap-2"
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        void read([...event.dataTransfer.files]);
      }}
    >
      <h3 className="text-base">Check a page of the site</h3>
      <p className="max-w-prose text-[13px] text-quiet">
        Add <code>#trellis-check</code> to its address. The page lists what is wrong on it; drop the downloaded report
        here to see it beside the shop.
      </p>
      <button type="button" className="btn btn-sm w-fit" onClick={() => input.current?.click()}>
        <ClipboardCheck size={15} aria-hidden /> Open a report
      </button>
      <input
        ref={input}
        type="file"
        multiple
        accept=".json,application/json"
        className="sr-only"
        tabIndex={-1}
        aria-label="Report of a page’s check"
        onChange={(event) => {
          void read([...(event.target.files ?? [])]);
          event.target.value = "";
        }}
      />
      <Fault text={fault} />
      {checks.map((check) => (
        <Report key={check.address} check={check} />
      ))}
    </section>
  );
}

function Report({ check }: { check: SiteCheck }) {
  const { pages } = useOpenShop();
  const { bars, screen, address } = check;
  const problems = siteProblems(check);
  const { band } = screen;
  const differs = Math.abs(bars.measured - bars.expected) > 2;
  return (
    <article className="rounded-lg border border-hair bg-base-100 p-3 text-[13px]">
      <p className="font-medium break-all">{address}</p>
      {problems.length === 0 ? <p>Nothing is wrong on this page.</p> : null}
      <ul className="list-disc ps-5">
        {problems.map((problem) => (
          <li key={problem}>{problem}</li>
        ))}
      </ul>
      {differs && band ? (
        <button
          type="button"
          className="btn btn-sm mt-2"
          onClick={() => {
            const store = pages.getState();
            const next = fitBars(store.document.bars, band, bars.measured);
            store.apply(setBars(next, `Bars: ${bars.measured} px stay on ${band}, as measured on the site`));
          }}
        >
          Set the shop’s bars to {bars.measured} px on {band}
        </button>
      ) : null}
    </article>
  );
}
