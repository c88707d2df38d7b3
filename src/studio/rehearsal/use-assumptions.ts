import { useEffect, useState } from "react";
import { type Assumptions, defaultAssumptions } from "../../core/rehearsal/assumptions.ts";

const keptAt = (shop: string): string => `rehearsal ${shop}`;

/** The assumptions, kept in this browser by shop. */
export function useAssumptions(shop: string): [Assumptions, (next: Assumptions) => void] {
  const [assumptions, setAssumptions] = useState<Assumptions>(() => {
    try {
      return { ...defaultAssumptions, ...JSON.parse(localStorage.getItem(keptAt(shop)) ?? "{}") };
    } catch {
      return defaultAssumptions;
    }
  });
  useEffect(() => {
    localStorage.setItem(keptAt(shop), JSON.stringify(assumptions));
  }, [shop, assumptions]);
  return [assumptions, setAssumptions];
}
