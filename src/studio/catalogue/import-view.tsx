import { useState } from "react";
import { Link, useNavigate, useParams } from "react-router";
import { toast } from "sonner";
import { useSWRConfig } from "swr";
import { problemText } from "../../core/catalogue/problem.ts";
import type { Mapping } from "../../core/catalogue/read.ts";
import type { ChangeSummary } from "../../core/evidence/change-summary.ts";
import { request, type ShopSummary, shopPath } from "../api.ts";
import { ColumnTable } from "../new-shop/column-table.tsx";
import { DropZone, tooLarge } from "../new-shop/drop-zone.tsx";
import { ProblemList } from "../new-shop/problem-list.tsx";
import { usePreview } from "../new-shop/use-preview.ts";
import { Alert } from "../shell/alert.tsx";
import { useOpenShop } from "../shell/shop-context.ts";
import { Strip } from "../shell/strip.tsx";
import { shopViews } from "../shell/views.ts";
import { ChangeList } from "./change-list.tsx";

/** A newer catalogue for a shop that is there: what it changes and touches, and only then the write. */
export function ImportView() {
  const { shop: slug = "" } = useParams();
  const { shop } = useOpenShop();
  const { preview, busy, trouble, read, refuse } = usePreview();
  const [file, setFile] = useState<File | undefined>(undefined);
  const [change, setChange] = useState<ChangeSummary | undefined>(undefined);
  const [working, setWorking] = useState(false);
  const [sendTrouble, setSendTrouble] = useState<string | undefined>(undefined);
  const navigate = useNavigate();
  const { mutate } = useSWRConfig();
  const mapping = preview?.mapping;

  const restart = () => {
    setChange(undefined);
    setSendTrouble(undefined);
  };
  const take = (chosen: File | undefined) => {
    if (!chosen) return;
    restart();
    setFile(chosen);
    const large = tooLarge(chosen);
    if (large) refuse(large);
    else read(chosen);
  };
  const remap = (next: Mapping) => {
    restart();
    if (file) read(file, next);
  };
  const send = async <T,>(write: boolean): Promise<T | undefined> => {
    if (!file) return undefined;
    setWorking(true);
    setSendTrouble(undefined);
    const body = new FormData();
    body.set("file", file);
    body.set("mapping", JSON.stringify(mapping));
    body.set("write", write ? "yes" : "no");
    try {
      return await request<T>(`${shopPath(slug)}/catalogue`, { method: "POST", body });
    } catch (error) {
      setSendTrouble((error as Error).message);
      return undefined;
    } finally {
      setWorking(false);
    }
  };
  const compare = async () => setChange(await send<ChangeSummary>(false));
  const write = async () => {
    const done = await send<ShopSummary>(true);
    if (!done) return;
    await Promise.all([mutate(shopPath(slug), done, { revalidate: false }), mutate(`${shopPath(slug)}/data`)]);
    toast.success(`${done.products.toLocaleString("en")} products are in the catalogue now.`);
    navigate(`/shops/${slug}/catalogue`);
  };

  return (
    <div className="flex h-full flex-col bg-base-200">
      <Strip views={shopViews(slug)} />
      <main className="min-h-0 flex-1 overflow-auto">
        <div className={`mx-auto w-full px-6 py-8 ${preview ? "max-w-6xl" : "max-w-2xl"}`}>
          <h1 className="mb-1 text-3xl">A newer catalogue for {shop.name}</h1>
          <p className="mb-5 text-quiet">
            Bring the new file. You see what it changes before anything is written. Panels stay as they are.{" "}
            <Link className="link" to={`/shops/${slug}/catalogue`}>
              Back to the catalogue
            </Link>
          </p>
          <DropZone file={file} busy={busy} take={take} />
          {trouble ? <Alert text={trouble} /> : null}
          {preview?.fault ? <Alert text={problemText(preview.fault)} /> : null}
          {preview && preview.columns.length > 0 ? (
            <div className="mt-6 grid grid-cols-[minmax(0,1fr)_300px] items-start gap-6">
              {change ? <ChangeList change={change} /> : <ColumnTable preview={preview} busy={busy} remap={remap} />}
              <div className="sticky top-4 grid gap-4">
                {preview.fault ? null : (
                  <p className="font-display text-lg font-semibold tabular-nums">
                    {preview.products.toLocaleString("en")} products, {preview.variants.toLocaleString("en")} variants
                  </p>
                )}
                {sendTrouble ? <Alert text={sendTrouble} /> : null}
                {change ? (
                  <>
                    <button type="button" className="btn btn-primary" disabled={working} onClick={write}>
                      {working ? "Writing …" : "Take this catalogue"}
                    </button>
                    <button type="button" className="btn btn-sm" disabled={working} onClick={restart}>
                      Back to the columns
                    </button>
                  </>
                ) : (
                  <button type="button" className="btn btn-primary" disabled={busy || working || preview.fault !== undefined} onClick={compare}>
                    {working ? "Comparing …" : "Show what changes"}
                  </button>
                )}
                {preview.fault ? null : <ProblemList problems={preview.problems} />}
              </div>
            </div>
          ) : null}
        </div>
      </main>
    </div>
  );
}
