import { CellList } from "./cell-list.tsx";
import { FormPart } from "./form-line.tsx";
import type { LayoutFormProps } from "./layout-form-props.ts";

/** The parts of a card in the grid or the list. */
export const CardForm = ({ layout, own, set }: LayoutFormProps) => (
  <FormPart title="On a card" own={own.card !== undefined} reset={() => set({ card: undefined }, "reset the cards")}>
    <CellList of="a card" cells={layout.card} without={["variant"]} set={(card, words) => set({ card }, words)} />
  </FormPart>
);
