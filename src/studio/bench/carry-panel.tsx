import { FileUp } from "lucide-react";
import { useState } from "react";
import { isFacetable } from "../../core/catalogue/field.ts";
import type { PanelDocument } from "../../core/panel/panel-schema.ts";
import type { CarryMatch } from "../../core/reconcile/import-panel.ts";
import { Fault } from "../shell/alert.tsx";
import { percent } from "../shell/percent.ts";
import { useOpenShop } from "../shell/shop-context.ts";

interface Brought {
  panel: PanelDocument;
  matches: readonly CarryMatch[];
}

/** The panel in a file, without the name of its schema. @throws Error with the reason */
async function panelIn(file: File): Promise<PanelDocument> {
  const text = await file.text();
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    throw new Error(`${file.name} is not valid JSON. Choose a file from the “panels” folder of a shop.`);
  }
  const { $schema: _named, ...own } =
    typeof value === "object" && value !== null ? (value as { $schema?: unknown }) : {};
  // Document checks are large, so they are loaded only when a file is imported.
  const [{ checkDocument }, { panelKind }] = await Promise.all([
    import("../../core/document/kind.ts"),
    import("../../core/panel/kind.ts"),
  ]);
  try {
    return checkDocument(panelKind, own);
  } catch (error) {
    throw new Error(`${file.name} is not a panel: ${(error as Error).message}.`);
  }
}

/**
 * Imports a panel of another shop: its facets are matched with the fields here, and the designer corrects the matches.
 */
export function CarryPanel({ make }: { make(document: PanelDocument): void }) {
  const { desk } = useOpenShop();
  const [brought, setBrought] = useState<Brought | undefined>(undefined);
  const [trouble, setTrouble] = useState<string | undefined>(undefined);
  const read = async (file: File | undefined) => {
    if (!file) return;
    setTrouble(undefined);
    try {
      const panel = await panelIn(file);
      setBrought({ panel, matches: await desk.matchFacets(panel) });
    } catch (error) {
      setTrouble((error as Error).message);
    }
  };
  if (brought) return <Matched {...brought} make={make} />;
  return (
    <div className="mt-3 border-t border-hair pt-3 text-[13px]">
      <label className="flex cursor-pointer items-center gap-2 rounded-lg border-2 border-dashed border-secondary/40 p-2 hover:border-secondary has-focus-visible:outline-2 has-focus-visible:outline-[#b4561b]">
        <FileUp size={18} aria-hidden className="flex-none text-secondary" />
        <span>Or import a panel file from a different shop</span>
        <input
          type="file"
          accept=".json,application/json"
          className="sr-only"
          aria-label="File of a panel"
          onChange={(event) => void read(event.target.files?.[0])}
        />
      </label>
      <Fault text={trouble} className="mt-2" />
    </div>
  );
}

function Matched({ panel, matches, make }: Brought & { make(document: PanelDocument): void }) {
  const { desk, profiles } = useOpenShop();
  const [to, setTo] = useState(
    () => new Map(matches.flatMap(({ row, to: field }): [string, string][] => (field ? [[row, field]] : []))),
  );
  const [left, setLeft] = useState<{ document: PanelDocument; left: readonly string[] } | undefined>(undefined);
  const fields = profiles.filter(({ field }) => isFacetable(field));
  const carry = async () => {
    const carried = await desk.carryPanel(panel, to);
    if (carried.left.length === 0) make(carried.document);
    else setLeft(carried);
  };
  if (left)
    return (
      <div className="mt-3 flex flex-col gap-2 border-t border-hair pt-3 text-[13px]">
        <p>These can’t be copied:</p>
        <ul aria-label="What can’t be copied" className="list-disc ps-4">
          {left.left.map((words) => (
            <li key={words}>{words}</li>
          ))}
        </ul>
        <button type="button" className="btn btn-primary btn-sm" onClick={() => make(left.document)}>
          Create panel without these
        </button>
      </div>
    );
  return (
    <div className="mt-3 flex flex-col gap-2 border-t border-hair pt-3 text-[13px]">
      <p>
        <b>{panel.name}</b>: {to.size} of {matches.length} facets matched
      </p>
      <ul aria-label="Facets and their fields here" className="flex max-h-80 flex-col overflow-y-auto">
        {matches.map(({ row, title, to: guessed, confidence, reasons }) => (
          <li key={row} className="flex flex-col gap-0.5 border-b border-hair py-1.5">
            <span className="flex items-center gap-2">
              <span className="min-w-0 flex-1 truncate font-medium">{title}</span>
              <select
                className="select select-xs w-36"
                aria-label={`Field for ${title}`}
                value={to.get(row) ?? ""}
                onChange={(event) => {
                  const next = new Map(to);
                  if (event.target.value) next.set(row, event.target.value);
                  else next.delete(row);
                  setTo(next);
                }}
              >
                <option value="">leave out</option>
                {fields.map(({ field: { key, name } }) => (
                  <option key={key} value={key}>
                    {name}
                  </option>
                ))}
              </select>
            </span>
            <span className="text-[13px] text-quiet">
              {guessed === undefined
                ? "No similar field here"
                : `${percent(Math.round(confidence * 100), 100)} sure: ${reasons.join(", ")}`}
            </span>
          </li>
        ))}
      </ul>
      <button type="button" className="btn btn-primary btn-sm" disabled={to.size === 0} onClick={() => void carry()}>
        Import panel
      </button>
    </div>
  );
}
