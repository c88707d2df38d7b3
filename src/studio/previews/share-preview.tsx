import { Share2 } from "lucide-react";
import { useState } from "react";
import { Fault } from "../shell/alert.tsx";
import { usePreviews } from "./use-previews.ts";

/** Shares the draft as it is now. */
export function SharePreview({ shop, shared }: { shop: string; shared(): void }) {
  const { share } = usePreviews(shop);
  const [busy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState<string | undefined>(undefined);
  const act = async () => {
    setBusy(true);
    setTrouble(undefined);
    try {
      await share();
      shared();
    } catch (error) {
      setTrouble((error as Error).message);
    }
    setBusy(false);
  };
  return (
    <>
      <button type="button" data-act="Share a preview" className="btn" disabled={busy} onClick={() => void act()}>
        <Share2 size={15} aria-hidden /> Share a preview
      </button>
      <Fault text={trouble} className="text-[13px]" />
    </>
  );
}
