import type { Clause } from "../engine/question.ts";
import type { PanelDocument } from "../panel/panel-schema.ts";
import type { PageFacts } from "../profile/value-pages.ts";
import { behaviours } from "../settings/behaviour.ts";
import type { PagesDocument } from "./pages-schema.ts";
import { shownPage } from "./shown-page.ts";

/** The page to which a panel sends its choices; undefined if they stay on the page, or it doesn't exist. */
export function targetOf(
  { behaviour }: Pick<PanelDocument, "behaviour">,
  pages: PagesDocument,
  facts: PageFacts,
): { address: string; within: Clause[] } | undefined {
  const address = behaviours.on(behaviour ?? {}, "sendTo", "wide");
  const page = address === "" ? undefined : shownPage(address, pages, facts, undefined);
  return page && { address, within: page.within };
}
