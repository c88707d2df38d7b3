import { Conditions } from "./conditions.tsx";
import { FormPart } from "./form-line.tsx";
import type { LayoutFormProps } from "./layout-form-props.ts";

/** The standing conditions of a page, which always apply and are not shown to shoppers. */
export function StandingForm({ layout, own, set }: LayoutFormProps) {
  return (
    <FormPart
      title="Only show products where"
      own={own.within !== undefined}
      reset={() => set({ within: undefined }, "reset the standing conditions")}
    >
      <Conditions conditions={layout.within} within={[]} set={(within, words) => set({ within }, words)} />
    </FormPart>
  );
}
