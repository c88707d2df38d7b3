import { fieldKey } from "../../core/catalogue/field.ts";
import { TextControl } from "../controls/setting-control.tsx";

interface Props {
  folder: string;
  slug: string;
  set(slug: string): void;
}

/** The last part of a page's address; what has no place in one becomes a hyphen. */
export const SlugField = ({ folder, slug, set }: Props) => (
  <span className="flex items-center gap-1 text-[13px]">
    <span className="flex-none text-quiet">{folder}</span>
    <TextControl
      name="Address"
      value={slug}
      longest={100}
      whilePaused={false}
      set={(text) => {
        if (text.trim() !== "") set(fieldKey(text, new Set()).slice(0, 100));
      }}
    />
  </span>
);
