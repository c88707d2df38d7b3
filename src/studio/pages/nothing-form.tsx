import { lazy, Suspense } from "react";
import { FormPart } from "./form-line.tsx";
import type { LayoutFormProps } from "./layout-form-props.ts";

const RichText = lazy(() => import("../controls/rich-text.tsx"));

/** The text for no matches, above the filters that can be removed. */
export const NothingForm = ({ layout, own, set }: LayoutFormProps) => (
  <FormPart
    title="When no products match"
    own={own.nothing !== undefined}
    reset={() => set({ nothing: undefined }, "reset the words for nothing found")}
  >
    <Suspense fallback={<p className="text-quiet">Loading…</p>}>
      <RichText
        label="Text when no products match"
        html={layout.nothing}
        save={(nothing) => set({ nothing: nothing === "<p></p>" ? "" : nothing }, "words for nothing found")}
      />
    </Suspense>
    <p className="text-[13px] text-quiet">
      Below it, shoppers see which filters they can remove, and how many products that shows.
    </p>
  </FormPart>
);
