import { lazy, Suspense } from "react";
import { FormPart } from "./form-line.tsx";
import type { LayoutFormProps } from "./layout-side.tsx";

const RichText = lazy(() => import("../controls/rich-text.tsx"));

/** What shoppers read where nothing is found, above the choices that they can take back. */
export const NothingForm = ({ layout, own, set }: LayoutFormProps) => (
  <FormPart
    title="When nothing is found"
    own={own.nothing !== undefined}
    giveBack={() => set({ nothing: undefined }, "words for nothing found as usual")}
  >
    <Suspense fallback={<p className="text-quiet">Opening …</p>}>
      <RichText
        label="Words for nothing found"
        html={layout.nothing}
        save={(nothing) => set({ nothing: nothing === "<p></p>" ? "" : nothing }, "words for nothing found")}
      />
    </Suspense>
    <p className="text-[13px] text-quiet">Below it stands what a shopper can take back, with what that finds.</p>
  </FormPart>
);
