import { ImageUp, X } from "lucide-react";
import { useRef, useState } from "react";
import { useSwatchWorker } from "../swatches/use-book.ts";
import { useUpload } from "../swatches/use-upload.ts";

interface Props {
  /** Names it for its buttons. */
  label: string;
  /** Stands in front of it. */
  caption?: string;
  value: string;
  set(value: string): void;
}

/** A picture for a state, uploaded as all pictures are; or none. */
export function PicturePick({ label, caption, value, set }: Props) {
  const upload = useUpload(useSwatchWorker());
  const input = useRef<HTMLInputElement>(null);
  const [trouble, setTrouble] = useState<string | undefined>(undefined);
  const take = async (file: File | undefined) => {
    if (!file) return;
    try {
      set(await upload(file));
      setTrouble(undefined);
    } catch (error) {
      setTrouble((error as Error).message);
    }
  };
  return (
    <span className="flex flex-col items-end gap-1">
      <span className="flex items-center gap-1">
        {caption ? <span className="text-[13px] text-quiet">{caption}</span> : null}
        {value ? (
          <img src={value} alt="" className="size-6 border border-hair object-contain" />
        ) : (
          <span className="grid size-6 place-items-center border border-dashed border-hair text-[13px] text-quiet">
            –
          </span>
        )}
        <button
          type="button"
          className="grid size-6 place-items-center rounded-md hover:bg-sand"
          aria-label={`Upload ${label.toLowerCase()}`}
          title="Upload a picture"
          onClick={() => input.current?.click()}
        >
          <ImageUp size={14} aria-hidden />
        </button>
        {value ? (
          <button
            type="button"
            className="grid size-6 place-items-center rounded-md hover:bg-sand"
            aria-label={`No ${label.toLowerCase()}`}
            onClick={() => set("")}
          >
            <X size={13} aria-hidden />
          </button>
        ) : null}
      </span>
      <input
        ref={input}
        type="file"
        accept="image/*,.svg"
        hidden
        onChange={(event) => void take(event.target.files?.[0])}
      />
      {trouble ? <span className="w-40 text-[13px] text-error">{trouble}</span> : null}
    </span>
  );
}
