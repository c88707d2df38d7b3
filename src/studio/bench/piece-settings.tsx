import { lazy, type ReactNode, Suspense } from "react";
import { replaceRow, setTranslation } from "../../core/panel/edit.ts";
import { type PieceRow, pieceOf } from "../../core/panel/pieces.ts";
import { isSafeAddress, isSafePicture } from "../../core/sanitize/safe-address.ts";
import { Choice } from "../controls/choice.tsx";
import { TextControl } from "../controls/text-control.tsx";
import { UploadPicture } from "../controls/upload-picture.tsx";
import { useShopSettings } from "../shell/shop-context.ts";
import { useBench } from "./bench-context.ts";
import { LinksSettings } from "./links-settings.tsx";
import { PieceLine } from "./piece-line.tsx";

// The editor is large and seldom needed.
const RichText = lazy(() => import("../controls/rich-text.tsx"));

/** A piece's settings, opened below its row. */
export function PieceSettings({ row, title }: { row: PieceRow; title: string }) {
  const store = useBench().panel;
  const languages = useShopSettings((settings) => settings.languages);
  const change = (next: PieceRow, what: string) => store.getState().apply(replaceRow(next, `${title}: ${what}`));
  const isLabelled = pieceOf(row.piece).isLabelled ?? true;
  return (
    <div className="grid gap-2 border-t border-hair/70 px-9 py-2.5">
      <Own row={row} title={title} change={change} />
      {isLabelled
        ? languages.map((language) => (
            <PieceLine key={language} label={`Label, ${language}`}>
              <TextControl
                name={`Label of ${title} in ${language}`}
                value={row.labels?.[language] ?? ""}
                longest={200}
                set={(text) => store.getState().apply(setTranslation(row.id, language, text, title))}
              />
            </PieceLine>
          ))
        : null}
    </div>
  );
}

interface OwnProps<R extends PieceRow = PieceRow> {
  row: R;
  title: string;
  change(row: PieceRow, what: string): void;
}

/** The settings specific to this kind of piece. */
function Own({ row, title, change }: OwnProps) {
  switch (row.piece) {
    case "heading":
      return (
        <PieceLine label="Level">
          <Choice
            label={`Level of ${title}`}
            value={String(row.level)}
            options={["2", "3", "4"].map((value) => ({ value, label: value }))}
            set={(level) => change({ ...row, level: Number(level) as 2 | 3 | 4 }, `level ${level}`)}
          />
        </PieceLine>
      );
    case "text":
      return (
        <Suspense fallback={<p className="text-quiet">Loading the editor…</p>}>
          <RichText label={`Text of ${title}`} html={row.html} save={(html) => change({ ...row, html }, "edit text")} />
        </Suspense>
      );
    case "picture":
      return (
        <>
          <AddressLine
            label="Address"
            name={`Address of ${title}`}
            value={row.src}
            isSafe={isSafePicture}
            wanted="It must begin with https://, or with / for a picture of the shop."
            set={(src) => change({ ...row, src }, "change picture")}
            more={
              <UploadPicture
                label={`a picture for ${title}`}
                side={1600}
                set={(src) => change({ ...row, src }, "change picture")}
              />
            }
          />
          <AddressLine
            label="Leads to"
            name={`Where ${title} leads to`}
            value={row.href}
            isSafe={isSafeAddress}
            wanted="It must begin with https://, mailto: or tel:, or with / or ? for a page of the shop."
            set={(href) => change({ ...row, href }, "change link")}
          />
          <p className="text-[13px] text-quiet">Screen readers read the row’s label instead of the picture.</p>
        </>
      );
    case "links":
      return <LinksSettings row={row} title={title} change={change} />;
    default:
      return (
        <p className="text-[13px] text-quiet">
          {(pieceOf(row.piece).isLabelled ?? true)
            ? "Only its label can be changed, above."
            : "This piece has no settings."}
        </p>
      );
  }
}

interface AddressProps {
  label: string;
  name: string;
  value: string;
  isSafe(address: string): boolean;
  wanted: string;
  set(address: string): void;
  /** Another way to set the address, beside the field. */
  more?: ReactNode;
}

/** An address that is saved if it is safe; otherwise the fault is shown and nothing changes. */
function AddressLine({ label, name, value, isSafe, wanted, set, more }: AddressProps) {
  return (
    <PieceLine label={label}>
      <span className="flex w-full items-center gap-1">
        <input
          type="text"
          key={value}
          className="input input-xs w-full"
          aria-label={name}
          defaultValue={value}
          onChange={(event) => event.target.setCustomValidity("")}
          onBlur={(event) => {
            const address = event.target.value.trim();
            const fine = address === "" || isSafe(address);
            event.target.setCustomValidity(fine ? "" : wanted);
            if (!fine) event.target.reportValidity();
            else if (address !== value) set(address);
          }}
          onKeyDown={(event) => event.key === "Enter" && event.currentTarget.blur()}
        />
        {more}
      </span>
    </PieceLine>
  );
}
