import { Check, CloudOff, LoaderCircle } from "lucide-react";
import { useMemo, useSyncExternalStore } from "react";
import type { Stepped } from "./history.ts";
import type { SaveState } from "./saver.ts";
import { useTypingUnsaved } from "./typing.ts";

const shown = {
  saved: { Icon: Check, text: "Saved" },
  saving: { Icon: LoaderCircle, text: "Saving…" },
  waiting: { Icon: LoaderCircle, text: "Saving…" },
  failed: { Icon: CloudOff, text: "Not saved" },
  conflict: { Icon: CloudOff, text: "Not saved" },
};
/** The states from worst to best; several documents together show the worst of theirs. */
const worst: readonly SaveState[] = ["conflict", "failed", "waiting", "saving", "saved"];

/** Whether all the view's changes are saved, including text being typed, and why not. */
export function Saved({ stores }: { stores: readonly Stepped[] }) {
  const isTyping = useTypingUnsaved();
  const source = useMemo(
    () => ({
      subscribe(changed: () => void) {
        const stops = stores.map((store) => store.subscribe(changed));
        return () => {
          for (const stop of stops) stop();
        };
      },
      saving: () => worst.find((one) => stores.some((store) => store.getState().saving === one)) ?? "saved",
      trouble: () => stores.map((store) => store.getState()).find(({ saving }) => saving === "failed")?.trouble,
    }),
    [stores],
  );
  const saving = useSyncExternalStore(source.subscribe, source.saving);
  const trouble = useSyncExternalStore(source.subscribe, source.trouble);
  const { Icon, text } = shown[saving === "saved" && isTyping ? "waiting" : saving];
  return (
    <span role="status" className="flex items-center gap-1.5 text-white/85" title={trouble}>
      <Icon size={15} aria-hidden />
      <span className="max-sm:sr-only">{text}</span>
      {saving === "failed" ? <span className="max-w-72 truncate text-accent">{trouble}</span> : null}
    </span>
  );
}
