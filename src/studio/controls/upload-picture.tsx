import { ImageUp } from "lucide-react";
import { useRef, useState } from "react";
import { useSwatchWorker } from "../swatches/use-book.ts";
import { useUpload } from "../swatches/use-upload.ts";

interface Props {
  /** The purpose of the picture, in the button's name. */
  label: string;
  /** Maximum side of a photograph, in px; larger ones are reduced. Default: 256 */
  side?: number;
  /** -1 where Tab passes it by, as in all cells of a grid but one. Default: 0 */
  tabIndex?: number | undefined;
  /** Receives the picture's address. */
  set(address: string): void;
}

/** Uploads a picture from the computer. */
export function UploadPicture({ label, side, tabIndex, set }: Props) {
  const upload = useUpload(useSwatchWorker(), side);
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
    <>
      <button
        type="button"
        tabIndex={tabIndex}
        className="grid size-6 flex-none place-items-center rounded-md hover:bg-sand"
        aria-label={`Upload ${label}`}
        title="Upload a picture"
        onClick={() => input.current?.click()}
      >
        <ImageUp size={14} aria-hidden />
      </button>
      <input
        ref={input}
        type="file"
        accept="image/*,.svg"
        hidden
        onChange={(event) => {
          void take(event.target.files?.[0]);
          event.target.value = "";
        }}
      />
      {trouble ? (
        <span role="alert" className="w-40 text-[13px] text-error">
          {trouble}
        </span>
      ) : null}
    </>
  );
}
