import { proxy, type Remote, wrap } from "comlink";
import { useEffect, useRef, useState } from "react";
import { useSWRConfig } from "swr";
import { sendJson } from "../../api.ts";
import { Fault } from "../../shell/alert.tsx";
import { percent } from "../../shell/percent.ts";
import { useOpenShop } from "../../shell/shop-context.ts";
import { visitsPath } from "./use-visits.ts";
import type { VisitsService } from "./visits.worker.ts";

/** Interval between updates of the progress, in ms. */
const beat = 200;

/** Imports a file of visits: it is read in this browser, and only its report is saved. */
export function ImportVisits({ imported }: { imported(): void }) {
  const { shop } = useOpenShop();
  const { mutate } = useSWRConfig();
  const worker = useRef<Worker>(undefined);
  const [read, setRead] = useState<{ name: string; share: string }>();
  const [trouble, setTrouble] = useState<string>();
  const stop = () => {
    worker.current?.terminate();
    worker.current = undefined;
    setRead(undefined);
  };
  useEffect(() => () => worker.current?.terminate(), []);
  const take = async (file: File) => {
    stop();
    setTrouble(undefined);
    setRead({ name: file.name, share: "0%" });
    const own = new Worker(new URL("./visits.worker.ts", import.meta.url), { type: "module" });
    worker.current = own;
    let shown = 0;
    const service: Remote<VisitsService> = wrap<VisitsService>(own);
    try {
      const report = await service.read(
        file,
        proxy((bytes: number) => {
          if (performance.now() - shown < beat) return;
          shown = performance.now();
          setRead({ name: file.name, share: percent(bytes, file.size) });
        }),
      );
      if (report.lines === 0)
        throw new Error(
          `No line of ${file.name} is a visit. Import a file of JSON lines, as pages send them, or a CSV with the same names as headings.`,
        );
      await sendJson("PUT", `${visitsPath(shop.slug)}/file`, { name: file.name, report });
      await mutate((key) => typeof key === "string" && key.startsWith(visitsPath(shop.slug)));
      imported();
    } catch (error) {
      setTrouble((error as Error).message);
    }
    stop();
  };
  return (
    <div className="flex flex-col gap-1">
      <label className="flex flex-col gap-1">
        <span className="font-medium">Import a file of visits</span>
        <span className="text-quiet">JSON lines or CSV. It is read here and not uploaded.</span>
        <input
          type="file"
          accept=".jsonl,.ndjson,.json,.txt,.log,.csv"
          className="file-input file-input-sm w-full"
          onChange={({ target }) => {
            const file = target.files?.[0];
            target.value = "";
            if (file) void take(file);
          }}
        />
      </label>
      {read ? (
        <p role="status" className="flex items-center justify-between gap-2">
          Reading {read.name}: {read.share}
          <button type="button" className="btn btn-xs" onClick={stop}>
            Stop
          </button>
        </p>
      ) : null}
      <Fault text={trouble} />
    </div>
  );
}
