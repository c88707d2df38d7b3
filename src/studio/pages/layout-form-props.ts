import type { Layout } from "../../core/page/layout.ts";
import type { LayoutChanges } from "../../core/page/pages-schema.ts";
/** The properties of every part of a layout's form. */
export interface LayoutFormProps {
  /** The resolved layout, with inherited values. */
  layout: Layout;
  /** Its own settings. */
  own: LayoutChanges;
  /** Sets some members; undefined makes one inherited again. @param what for the history, like “page size” */
  set(changes: LayoutChanges, what: string): void;
}
