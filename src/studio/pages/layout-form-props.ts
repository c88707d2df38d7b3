import type { Layout } from "../../core/page/layout.ts";
import type { LayoutChanges } from "../../core/page/pages-schema.ts";
/** What every part of a layout's form is given. */
export interface LayoutFormProps {
  /** As it is now, with all that it follows. */
  layout: Layout;
  /** What it sets itself. */
  own: LayoutChanges;
  /** Sets some members; undefined lets one follow again. @param what for the history, like “page size” */
  set(changes: LayoutChanges, what: string): void;
}
