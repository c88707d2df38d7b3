import { X } from "lucide-react";
import { UploadPicture } from "./upload-picture.tsx";

interface Props {
  /** Names it for its buttons. */
  label: string;
  /** Stands in front of it. */
  caption?: string;
  value: string;
  set(value: string): void;
}

/** A picture of the shop, uploaded like all pictures; or none. */
export const PicturePick = ({ label, caption, value, set }: Props) => (
  <span className="flex flex-wrap items-center gap-1">
    {caption ? <span className="text-[13px] text-quiet">{caption}</span> : null}
    {value ? (
      <img src={value} alt="" className="size-6 border border-hair object-contain" />
    ) : (
      <span className="grid size-6 place-items-center border border-dashed border-hair text-[13px] text-quiet">–</span>
    )}
    <UploadPicture label={label.toLowerCase()} set={set} />
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
);
