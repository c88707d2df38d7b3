import { useLocation } from "react-router";
import { isSlugOf, slugOf } from "../../core/page/move-address.ts";
import { TextControl } from "../controls/text-control.tsx";

interface Props {
  folder: string;
  slug: string;
  set(slug: string): void;
}

/** The last part of a page's address; unsuitable characters become hyphens. */
export const SlugField = ({ folder, slug, set }: Props) => (
  <span className="flex items-center gap-1 text-[13px]">
    <span className="flex-none text-quiet">{folder}</span>
    <TextControl
      name="Address"
      value={slug}
      longest={100}
      whilePaused={false}
      set={(text) => {
        if (text.trim() !== "") set(slugOf(text));
      }}
    />
  </span>
);

/** State of a navigation to a page that was just created. */
export const justCreated = { created: true };

/**
 * The new slug when a page is renamed: the address of a page just created follows its name until it is typed. Older
 * pages keep theirs, because others may link to them.
 */
export function useFollowingSlug(): (page: { slug: string }, before: string, name: string) => { slug?: string } {
  const created = (useLocation().state as Partial<typeof justCreated> | null)?.created === true;
  return ({ slug }, before, name) => (created && name !== "" && isSlugOf(slug, before) ? { slug: slugOf(name) } : {});
}
