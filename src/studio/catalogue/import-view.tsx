import { useEffect, useState } from "react";
import { Link, useNavigate, useParams } from "react-router";
import { toast } from "sonner";
import { useSWRConfig } from "swr";
import type { PastImport, ShopSummary } from "../../core/api/shop.ts";
import { identity } from "../../core/catalogue/identity.ts";
import { addMend, clearSetValues } from "../../core/catalogue/mend/edit.ts";
import type { NewMend } from "../../core/catalogue/mend/mend-schema.ts";
import { combineEdits } from "../../core/document/edit.ts";
import type { ChangeSummary } from "../../core/reconcile/change-summary.ts";
import { request, shopPath } from "../api.ts";
import { ImportForm } from "../import/import-form.tsx";
import { useReader } from "../import/use-reader.ts";
import { useSender } from "../import/use-sender.ts";
import { readDocument } from "../shell/documents.ts";
import { useOpenShop } from "../shell/shop-context.ts";
import { Strip } from "../shell/strip.tsx";
import { shopViews } from "../shell/views.ts";
import { ChangeList } from "./change-list.tsx";
import { hiddenKey } from "./hidden-list.tsx";
import { importsPath, PastImports, requestRevert } from "./past-imports.tsx";

type Renamed = ChangeSummary["renamedValues"][number];

/** A renamed value keeps its former name. */
const asBefore = ({ field, from, to }: Renamed): NewMend => ({
  ...{ kind: "values", field: field.key, from: [identity(to)], to: [from] },
});

const none: ReadonlySet<string> = new Set();

/** A newer catalogue for an existing shop: shows its changes and effects before writing. */
export function ImportView() {
  const { shop: slug = "" } = useParams();
  const { shop, mends, pages, reopen } = useOpenShop();
  const { mutate } = useSWRConfig();
  const reader = useReader(shop);
  const sender = useSender(reader);
  const [change, setChange] = useState<ChangeSummary | undefined>(undefined);
  /** Values treated as continuations. */
  const [taken, setTaken] = useState<readonly Renamed[]>([]);
  /** Corrected cells to clear with the new file. */
  const [cleared, setCleared] = useState<ReadonlySet<string>>(none);
  /** Compare again after the columns have been read again. */
  const [again, setAgain] = useState(false);
  const navigate = useNavigate();
  const { preview, busy, file } = reader;
  const path = `${shopPath(slug)}/catalogue`;

  const restart = () => {
    setChange(undefined);
    setTaken([]);
    setCleared(none);
    sender.forget();
  };
  /** The documents that depend on the catalogue; undefined if they can't be loaded, which is reported. */
  const shopAsIs = async () => {
    try {
      return {
        mends: mends.getState().document.mends,
        pages: pages.getState().document,
        swatches: await readDocument(slug, "swatches"),
        panels: await Promise.all(shop.panels.map((panel) => readDocument(slug, "panel", panel.slug))),
      };
    } catch (error) {
      toast.error((error as Error).message);
      return undefined;
    }
  };
  const compare = async (renamed: readonly Renamed[]) => {
    const asIs = await shopAsIs();
    if (!asIs) return;
    const source = new URL(`/api${shopPath(slug)}/source`, location.href).href;
    const told = await reader.compare(source, asIs, renamed.map(asBefore));
    if (told) setChange(told);
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: only a reading that has ended is compared, and once
  useEffect(() => {
    if (!again || busy || !preview) return;
    setAgain(false);
    void compare([]);
  }, [again, busy, preview]);
  /** Makes a column continue a removed field. */
  const goOn = ({ from, to }: ChangeSummary["renamed"][number]) => {
    if (!preview) return;
    const columns = preview.reading.flatMap(({ as }, at) => (as === "skip" ? [] : [at]));
    const column = columns[preview.profiles.findIndex(({ field }) => field.key === to.key)];
    restart();
    reader.read(preview.reading.map((one, at) => (at === column ? { ...one, field: from.key } : one)));
    setAgain(true);
  };
  const callAsBefore = (renamed: Renamed) => {
    const all = [...taken, renamed];
    setTaken(all);
    void compare(all);
  };
  /** The corrections made together with the new file, as one step. */
  const mendAlong = (hidden: ChangeSummary["hidden"]) => {
    const edits = taken.map((one) => addMend(asBefore(one), one.field.name));
    const cells = hidden.filter((one) => cleared.has(hiddenKey(one)));
    if (cells.length > 0) edits.push(clearSetValues(cells.map(({ mend, product }) => ({ mend, product: product.id }))));
    const [first] = edits;
    if (first)
      mends.getState().apply(edits.length === 1 ? first : combineEdits("Corrections with a newer file", edits));
  };
  const write = async () => {
    const done = await sender.send<ShopSummary>(path, "Writing", {});
    if (!done || !change) return;
    mendAlong(change.hidden);
    navigate(`/shops/${slug}/catalogue`);
    reopen(done);
    const [latest] = (await mutate<PastImport[]>(importsPath(slug), request<PastImport[]>(importsPath(slug)))) ?? [];
    toast.success(`${done.products.toLocaleString("en")} products are in the catalogue now.`, {
      duration: 10_000,
      ...(latest ? { action: { label: "Undo", onClick: () => void requestRevert(slug, latest.id) } } : {}),
    });
  };

  return (
    <div className="flex h-full flex-col bg-base-200">
      <Strip views={shopViews(slug)} />
      <ImportForm
        title={`Newer catalogue for ${shop.name}`}
        lead={
          <>
            Choose the new file. You see what changes before anything is saved. Panels and corrections stay unchanged.{" "}
            <Link className="link" to={`/shops/${slug}/catalogue`}>
              Back to the catalogue
            </Link>
          </>
        }
        reader={reader}
        sender={sender}
        take={(given) => {
          restart();
          reader.take(given);
        }}
        changed={restart}
        main={
          change ? (
            <ChangeList
              change={change}
              goOn={goOn}
              callAsBefore={callAsBefore}
              cleared={cleared}
              setCleared={setCleared}
            />
          ) : undefined
        }
        foot={
          preview?.same && file ? (
            <SameFile read={() => reader.take(file, { anyway: true })} />
          ) : preview ? null : (
            <PastImports shop={slug} />
          )
        }
        actions={
          change ? (
            <>
              <button type="button" className="btn btn-primary" onClick={write}>
                Import this file
              </button>
              <button type="button" className="btn btn-sm bg-base-100" onClick={restart}>
                Back to the columns
              </button>
            </>
          ) : (
            <button
              type="button"
              className="btn btn-primary"
              disabled={busy !== undefined || preview?.fault !== undefined}
              onClick={() => void compare(taken)}
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

/** Shown if the file is the one the shop already has. */
function SameFile({ read }: { read(): void }) {
  return (
    <p className="mx-auto flex w-full max-w-2xl items-center gap-4 px-6" role="status">
      <span className="flex-1">
        <b>Nothing changes.</b> The catalogue was imported from this very file.
      </span>
      <button type="button" className="btn btn-sm bg-base-100" onClick={read}>
        Import it anyway
      </button>
    </p>
  );
}
