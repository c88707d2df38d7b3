import { Download, FileUp } from "lucide-react";
import { useState } from "react";
import { setTokens, spokenToken, takeLook } from "../../core/look/edit.ts";
import { toDesignTokens } from "../../core/look/exchange/design-tokens.ts";
import { guessAll } from "../../core/look/exchange/match-names.ts";
import { fromProperties, toProperties } from "../../core/look/exchange/properties.ts";
import {
  type ForeignToken,
  fromDesignTokens,
  isOwnTokenFile,
  readForeign,
} from "../../core/look/exchange/read-tokens.ts";
import { parts, tokens } from "../../core/look/tokens.ts";
import type { TokenValue } from "../../core/look/value.ts";
import { valueFault } from "../../core/look/value-fault.ts";
import type { Banded } from "../../core/settings/band.ts";
import { Fault } from "../shell/alert.tsx";
import { saveFile } from "../shell/save-file.ts";
import { useShopSettings } from "../shell/shop-context.ts";
import { useLook, useLookDocument } from "./look-context.ts";

/** Exports and imports a look as design tokens or custom properties; another tool's tokens are matched by name. */
export function LookFiles() {
  const { store, slug } = useLook();
  const look = useLookDocument();
  const limits = useShopSettings((settings) => settings.limits);
  const [trouble, setTrouble] = useState<string | undefined>(undefined);
  const [told, setTold] = useState("");
  const [foreign, setForeign] = useState<ForeignToken[] | undefined>(undefined);
  const { apply } = store.getState();
  const bring = async (file: File | undefined) => {
    if (!file) return;
    setTrouble(undefined);
    setTold("");
    setForeign(undefined);
    try {
      const text = await file.text();
      if (/\.css$/i.test(file.name))
        apply(
          takeLook(`Import ${file.name}`, { ...fromProperties(text, look.name), styles: look.styles, css: look.css }),
        );
      else if (isOwnTokenFile(text)) apply(takeLook(`Import ${file.name}`, fromDesignTokens(text)));
      else {
        setForeign(readForeign(text));
        return;
      }
      setTold(`${file.name} was imported. Undo restores the previous look.`);
    } catch (error) {
      setTrouble((error as Error).message);
    }
  };
  return (
    <div className="flex flex-col gap-3 text-[13px]">
      <section className="flex flex-col gap-1.5">
        <h3 className="text-base">Download</h3>
        <button
          type="button"
          className="btn btn-sm justify-start"
          onClick={() =>
            saveFile(`${slug}.tokens.json`, `${JSON.stringify(toDesignTokens(look), null, 2)}\n`, "application/json")
          }
        >
          <Download size={14} aria-hidden /> Design tokens
        </button>
        <button
          type="button"
          className="btn btn-sm justify-start"
          onClick={() => saveFile(`${slug}.css`, toProperties(look, limits), "text/css")}
        >
          <Download size={14} aria-hidden /> CSS custom properties
        </button>
      </section>
      <section className="flex flex-col gap-1.5">
        <h3 className="text-base">Import</h3>
        <label className="flex cursor-pointer items-center gap-2 rounded-lg border-2 border-dashed border-secondary/40 p-3 hover:border-secondary has-focus-visible:outline-2 has-focus-visible:outline-[#b4561b]">
          <FileUp size={18} aria-hidden className="flex-none text-secondary" />
          <span>
            Design tokens as JSON, or custom properties as CSS
            <span className="block text-[13px] text-quiet">Tokens from other tools are matched by name</span>
          </span>
          <input
            type="file"
            accept=".json,.tokens,.css,application/json,text/css"
            className="sr-only"
            aria-label="File of tokens"
            onChange={(event) => void bring(event.target.files?.[0])}
          />
        </label>
        <Fault text={trouble} />
        {told ? <p role="status">{told}</p> : null}
      </section>
      {foreign ? (
        <Matching
          found={foreign}
          take={(values) => {
            apply(setTokens(`Import ${Object.keys(values).length} tokens`, values));
            setForeign(undefined);
            setTold(`${Object.keys(values).length} tokens were imported.`);
          }}
        />
      ) : null}
    </div>
  );
}

/** Tokens from another tool, each with our probable equivalent. */
function Matching({
  found,
  take,
}: {
  found: readonly ForeignToken[];
  take(values: Record<string, Banded<TokenValue>>): void;
}) {
  const usable = found.filter(({ ours }) => ours !== undefined);
  const [chosen, setChosen] = useState(() => guessAll(usable));
  const values = Object.fromEntries(
    usable.flatMap(({ path, value }): [string, Banded<TokenValue>][] => {
      const token = tokens.get(chosen.get(path) ?? "");
      return token && value !== undefined && valueFault(token, value) === undefined
        ? [[token.name, { wide: value }]]
        : [];
    }),
  );
  if (usable.length === 0) return <p role="alert">No token in this file has a type that a look can use.</p>;
  return (
    <section className="flex flex-col gap-1.5" aria-label="Tokens from a different tool">
      <p className="text-quiet">
        {usable.length} tokens, {chosen.size} matched by name. Choose a token of the look for each.
      </p>
      <ul className="flex max-h-72 flex-col overflow-y-auto">
        {usable.slice(0, 300).map(({ path, ours, value }) => (
          <li key={path} className="flex items-center gap-2 border-b border-hair py-1">
            {ours === "colour" ? (
              <span
                aria-hidden
                className="size-4 flex-none rounded border border-hair"
                style={{ background: String(value) }}
              />
            ) : null}
            <span
              className="min-w-0 flex-1 truncate"
              title={`${path}: ${typeof value === "object" ? "shadow" : value}`}
            >
              {path}
            </span>
            <select
              className="select select-xs w-32"
              aria-label={path}
              value={chosen.get(path) ?? ""}
              onChange={(event) => {
                const next = new Map(chosen);
                if (event.target.value) next.set(path, event.target.value);
                else next.delete(path);
                setChosen(next);
              }}
            >
              <option value="">leave out</option>
              {[...tokens.values()]
                .filter(
                  (token) => token.type === ours && (parts[token.part]?.group === "Basics" || token.state === "rest"),
                )
                .map((token) => (
                  <option key={token.name} value={token.name}>
                    {spokenToken(token)}
                  </option>
                ))}
            </select>
          </li>
        ))}
      </ul>
      <button
        type="button"
        className="btn btn-primary btn-sm self-start"
        disabled={Object.keys(values).length === 0}
        onClick={() => take(values)}
      >
        Import {Object.keys(values).length} tokens
      </button>
    </section>
  );
}
