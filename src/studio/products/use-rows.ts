import { useEffect, useRef, useState } from "react";
import type { VariantQuery } from "../../core/engine/variants.ts";
import type { VariantRow } from "../desk/desk.ts";
import { useOpenShop } from "../shell/shop-context.ts";

const chunk = 100;

/** Rows fetched from the worker as they come into view, a hundred at a time. */
export function useRows(query: VariantQuery, keys: readonly string[]) {
  const { desk, engine } = useOpenShop();
  const asked = JSON.stringify([query, keys]);
  const [, redraw] = useState(0);
  const known = useRef({
    asked: "",
    engine,
    rows: new Map<number, VariantRow[] | "coming">(),
    stale: new Map<number, VariantRow[] | "coming">(),
  });
  if (known.current.asked !== asked || known.current.engine !== engine) {
    // The old rows stay visible until the new ones have loaded.
    known.current = { asked, engine, rows: new Map(), stale: known.current.rows };
  }
  const { rows, stale } = known.current;
  const alive = useRef(true);
  useEffect(() => {
    alive.current = true;
    return () => {
      alive.current = false;
    };
  }, []);
  return (at: number): VariantRow | undefined => {
    const start = Math.floor(at / chunk);
    if (!rows.has(start)) {
      rows.set(start, "coming");
      desk.rows(query, start * chunk, chunk, keys).then(
        (found) => {
          rows.set(start, found);
          if (alive.current) redraw((turn) => turn + 1);
        },
        (error) => console.error(error),
      );
    }
    const found = rows.get(start);
    const shown = found === "coming" || found === undefined ? stale.get(start) : found;
    return shown === "coming" ? undefined : shown?.[at - start * chunk];
  };
}
