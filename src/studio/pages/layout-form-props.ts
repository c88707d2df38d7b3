import type { Layout } from "../../core/page/layout.ts";
import type { LayoutChanges } from "../../core/page/pages-schema.ts";
/** The properties of every part of a layout's form. */
export interface LayoutFormProps {
  /** As it is now, with all that it follows. */
  layout: Layout;
  /** Its own settings. */
  own: LayoutChanges;
  /** Sets some members; undefined lets one follow again. @param what for the history, like “page size” */
  set(changes: LayoutChanges, what: string): void;
}
