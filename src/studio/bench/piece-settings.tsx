import { lazy, Suspense } from "react";
import { countsOf } from "../../core/match/engine.ts";
import { replaceRow, setTranslation } from "../../core/panel/edit.ts";
import type { LinksPiece, PieceRow } from "../../core/panel/panel-schema.ts";
import { isSafeAddress, isSafePicture } from "../../core/safe/safe-address.ts";
import { Choice } from "../controls/choice.tsx";
import { TextControl } from "../controls/setting-control.tsx";
import { useAnswer, useShopSettings } from "../shell/shop-context.ts";
import { useBench } from "./bench-context.ts";

// The editor is large and seldom needed.
const RichText = lazy(() => import("../controls/rich-text.tsx"));

/** A piece's settings, unfolded under its row. */
export function PieceSettings({ row, title }: { row: PieceRow; title: string }) {
  const store = useBench().panel;
  const languages = useShopSettings((settings) => settings.languages);
  const change = (next: PieceRow, what: string) => store.getState().apply(replaceRow(next, `${title}: ${what}`));
  const spoken = row.piece !== "divider" && row.piece !== "count" && row.piece !== "text";
  return (
    <div className="grid gap-2 border-t border-hair/70 px-9 py-2.5">
      <Own row={row} title={title} change={change} />
      {spoken
        ? languages.map((language) => (
            <Line key={language} label={`Label, ${language}`}>
              <TextControl
                name={`Label of ${title} in ${language}`}
                value={row.labels?.[language] ?? ""}
                longest={200}
                set={(text) => store.getState().apply(setTranslation(row.id, language, text, title))}
              />
            </Line>
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

/** What only this kind of piece has. */
function Own({ row, title, change }: OwnProps) {
  switch (row.piece) {
    case "heading":
      return (
        <Line label="Level">
          <Choice
            label={`Level of ${title}`}
            value={String(row.level)}
            options={["2", "3", "4"].map((value) => ({ value, label: value }))}
            set={(level) => change({ ...row, level: Number(level) as 2 | 3 | 4 }, `level ${level}`)}
          />
        </Line>
      );
    case "text":
      return (
        <Suspense fallback={<p className="text-quiet">Opening the editor …</p>}>
          <RichText
            label={`Text of ${title}`}
            html={row.html}
            save={(html) => change({ ...row, html }, "edit the text")}
          />
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
            wanted="It must begin with https:// or with / for a place in the shop."
            set={(src) => change({ ...row, src }, "another picture")}
          />
          <AddressLine
            label="Leads to"
            name={`Where ${title} leads to`}
            value={row.href}
            isSafe={isSafeAddress}
            wanted="It must begin with https://, mailto:, tel:, or with / or ? for a place in the shop."
            set={(href) => change({ ...row, href }, "leads elsewhere")}
          />
          <p className="text-[13px] text-quiet">The row's label is what those hear who do not see the picture.</p>
        </>
      );
    case "links":
      return <LinksSettings row={row} title={title} change={change} />;
    default:
      return (
        <p className="text-[13px] text-quiet">
          {row.piece === "divider" || row.piece === "count" ? "It has no settings." : "Its label can be changed above."}
        </p>
      );
  }
}

function Line({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <div className="flex items-center gap-2">
      <span className="w-26 flex-none text-[13px] text-quiet">{label}</span>
      {children}
    </div>
  );
}

interface AddressProps {
  label: string;
  name: string;
  value: string;
  isSafe(address: string): boolean;
  wanted: string;
  set(address: string): void;
}

/** An address that is taken when it is safe; otherwise it says what is wrong and nothing is changed. */
function AddressLine({ label, name, value, isSafe, wanted, set }: AddressProps) {
  return (
    <Line label={label}>
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
    </Line>
  );
}

const most = 100;

function LinksSettings({ row, title, change }: OwnProps<LinksPiece>) {
  const answer = useAnswer(countsOf([{ field: row.field, mode: row.mode }]));
  const options = answer?.facets[row.field]?.options ?? [];
  const picked = row.values === "all" ? undefined : new Set(row.values);
  return (
    <>
      <Line label="Links">
        <Choice
          label={`Links of ${title}`}
          value={picked ? "picked" : "all"}
          options={[
            { value: "all", label: "all" },
            { value: "picked", label: "picked" },
          ]}
          set={(value) =>
            change(
              { ...row, values: value === "all" ? "all" : options.map(({ id }) => id) },
              value === "all" ? "all links" : "picked links",
            )
          }
        />
      </Line>
      <Line label="Counts">
        <input
          type="checkbox"
          role="switch"
          aria-checked={row.counts}
          className="toggle toggle-xs"
          aria-label={`Counts of ${title}`}
          checked={row.counts}
          onChange={(event) =>
            change({ ...row, counts: event.target.checked }, event.target.checked ? "with counts" : "without counts")
          }
        />
      </Line>
      {picked ? (
        <ul className="max-h-48 overflow-auto text-[13px]" aria-label={`Values of ${title}`}>
          {options.slice(0, most).map(({ id, label }) => (
            <li key={id}>
              <label className="flex min-h-6 items-center gap-2">
                <input
                  type="checkbox"
                  className="checkbox checkbox-xs"
                  checked={picked.has(id)}
                  onChange={(event) =>
                    change(
                      {
                        ...row,
                        values: event.target.checked ? [...picked, id] : [...picked].filter((one) => one !== id),
                      },
                      `${event.target.checked ? "link" : "leave out"} ${label}`,
                    )
                  }
                />
                {label}
              </label>
            </li>
          ))}
        </ul>
      ) : null}
    </>
  );
}
