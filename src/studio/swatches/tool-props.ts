import type { Field } from "../../core/catalogue/field.ts";
import type { SwatchDocument } from "../../core/swatch/book-schema.ts";
import type { SwatchEdit } from "../../core/swatch/edit.ts";
import type { SwatchOrder, Vision } from "../../core/swatch/measure.ts";
import type { SwatchWorker } from "./use-book.ts";
import type { BookValue } from "./value-row.tsx";
export interface ToolProps {
  field: Field;
  values: readonly BookValue[];
  book: SwatchDocument;
  worker: SwatchWorker;
  apply(edit: SwatchEdit): void;
  upload(file: File): Promise<string>;
  order: SwatchOrder;
  setOrder(order: SwatchOrder): void;
  sight: Vision;
  setSight(sight: Vision): void;
}
