import { outOfStock } from "../catalogue/availability.ts";
import type { FindingKind } from "./finding.ts";

/** Sold-out variants that shoppers cannot exclude. */
export const soldOutStay: FindingKind = {
  name: "sold-out-stay",
  level: "note",
  async find({ facets, facts }) {
    const profiles = await facts.profiles();
    const field = profiles.find((one) => one.field.role === "availability")?.field.key;
    if (field === undefined || facets.length === 0 || facets.some(({ row }) => row.field === field)) return [];
    const sold = await facts.variantsStating(field, outOfStock);
    if (sold === 0) return [];
    const variants = await facts.variantCount();
    return [
      {
        words: `${sold} of ${variants} variants are sold out, and shoppers can’t filter them out.`,
        remedy: { words: "Add availability", step: { do: "add", field } },
      },
    ];
  },
};
