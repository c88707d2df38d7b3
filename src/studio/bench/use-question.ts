import { useMemo } from "react";
import { countsOf } from "../../core/engine/engine.ts";
import type { Question } from "../../core/engine/question.ts";
import { askedOn } from "../../core/page/asked-on.ts";
import { engineFacets } from "../../core/panel/panel.ts";
import { usePages } from "../shell/shop-context.ts";
import { usePanel, useSession } from "./bench-context.ts";

/** The live page's question: its conditions, the selection and the panel's facets. */
export function useQuestion(): Question {
  const panel = usePanel((state) => state.document);
  const selection = useSession((state) => state.selection);
  const page = useSession((state) => state.shown?.page);
  const searching = usePages((pages) => pages.search);
  return useMemo(() => {
    const asked = page ? askedOn(page, selection) : { within: [], selection };
    return { ...countsOf(engineFacets(panel, "wide"), asked.selection, asked.within), searching };
  }, [panel, selection, page, searching]);
}
