import { useEffect, useState } from "react";
import { Link, useNavigate, useParams } from "react-router";
import { toast } from "sonner";
import type { ChangeSummary } from "../../core/change/change-summary.ts";
import type { ShopSummary } from "../../core/wire/shop.ts";
import { shopPath } from "../api.ts";
import { ImportForm } from "../import/import-form.tsx";
import { useReader } from "../import/use-reader.ts";
import { useSender } from "../import/use-sender.ts";
import { useOpenShop } from "../shell/shop-context.ts";
import { Strip } from "../shell/strip.tsx";
import { shopViews } from "../shell/views.ts";
import { ChangeList } from "./change-list.tsx";

/** A newer catalogue for a shop that is there: what it changes and touches, and only then the write. */
export function ImportView() {
  const { shop: slug = "" } = useParams();
  const { shop, reopen } = useOpenShop();
  const reader = useReader(shop);
  const sender = useSender(reader);
  const [change, setChange] = useState<ChangeSummary | undefined>(undefined);
  /** What changes is wanted again, once the columns are read anew. */
  const [again, setAgain] = useState(false);
  const navigate = useNavigate();
  const { preview, busy } = reader;
  const path = `${shopPath(slug)}/catalogue`;

  const restart = () => {
    setChange(undefined);
    sender.forget();
  };
  const compare = async () => setChange(await sender.send<ChangeSummary>(path, "Comparing", { write: "no" }));
  // biome-ignore lint/correctness/useExhaustiveDependencies: only a reading that has ended is compared, and once
  useEffect(() => {
    if (!again || busy || !preview) return;
    setAgain(false);
    void compare();
  }, [again, busy, preview]);
  /** Takes the column that has become a new field for the field that is gone. */
  const goOn = ({ from, to }: ChangeSummary["renamed"][number]) => {
    if (!preview) return;
    const taken = preview.reading.flatMap(({ as }, at) => (as === "skip" ? [] : [at]));
    const column = taken[preview.profiles.findIndex(({ field }) => field.key === to.key)];
    restart();
    reader.read(preview.reading.map((one, at) => (at === column ? { ...one, field: from.key } : one)));
    setAgain(true);
  };
  const write = async () => {
    const done = await sender.send<ShopSummary>(path, "Writing", { write: "yes" });
    if (!done) return;
    toast.success(`${done.products.toLocaleString("en")} products are in the catalogue now.`);
    navigate(`/shops/${slug}/catalogue`);
    reopen(done);
  };

  return (
    <div className="flex h-full flex-col bg-base-200">
      <Strip views={shopViews(slug)} />
      <ImportForm
        title={`A newer catalogue for ${shop.name}`}
        lead={
          <>
            Bring the new file. You see what it changes before anything is written. Panels and mends stay as they are.{" "}
            <Link className="link" to={`/shops/${slug}/catalogue`}>
              Back to the catalogue
            </Link>
          </>
        }
        reader={reader}
        sender={sender}
        take={(file) => {
          restart();
          reader.take(file);
        }}
        changed={restart}
        main={change ? <ChangeList change={change} goOn={goOn} /> : undefined}
        actions={
          change ? (
            <>
              <button type="button" className="btn btn-primary" onClick={write}>
                Take this catalogue
              </button>
              <button type="button" className="btn btn-sm" onClick={restart}>
                Back to the columns
              </button>
            </>
          ) : (
            <button
              type="button"
              className="btn btn-primary"
              disabled={busy !== undefined || preview?.fault !== undefined}
              onClick={compare}
            >
              Show what changes
            </button>
          )
        }
      >
        {null}
      </ImportForm>
    </div>
  );
}
