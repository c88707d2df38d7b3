import { FolderInput } from "lucide-react";
import { useRef, useState } from "react";
import { useNavigate } from "react-router";
import type { ShopSummary } from "../../core/api/shop.ts";
import { ApiError, request } from "../api.ts";
import { Fault } from "../shell/alert.tsx";

/** Creates a shop from a zipped shop folder, and opens it. */
export function BringFolder() {
  const input = useRef<HTMLInputElement>(null);
  const go = useNavigate();
  const [busy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState<string | undefined>(undefined);
  const bring = async (file: File | undefined) => {
    if (!file) return;
    setBusy(true);
    setTrouble(undefined);
    const form = new FormData();
    form.set("file", file);
    try {
      const { slug } = await request<ShopSummary>("/folders", { method: "POST", body: form });
      await go(`/shops/${encodeURIComponent(slug)}/panels`);
    } catch (error) {
      setTrouble(
        error instanceof ApiError
          ? error.message
          : "The folder couldn’t be imported. Check the connection and try again.",
      );
      setBusy(false);
    }
  };
  return (
    <>
      <button type="button" className="btn btn-sm" disabled={busy} onClick={() => input.current?.click()}>
        <FolderInput size={16} aria-hidden /> {busy ? "Reading…" : "Import a shop folder"}
      </button>
      <input
        ref={input}
        type="file"
        accept=".zip,application/zip"
        className="sr-only"
        tabIndex={-1}
        aria-label="Shop folder as a ZIP"
        onChange={(event) => {
          void bring(event.target.files?.[0]);
          event.target.value = "";
        }}
      />
      <Fault text={trouble} className="basis-full" />
    </>
  );
}
