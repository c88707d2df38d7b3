import { useEffect } from "react";
import { reachesOf } from "../../core/findings/reach.ts";
import type { PanelOnPage } from "../../core/page/pages-schema.ts";
import type { PanelDocument } from "../../core/panel/panel-schema.ts";
import { behaviours } from "../../core/settings/behaviour.ts";
import type { PagePanel, SendTarget } from "../../storefront/page/page-panel.ts";
import { readDocument } from "../shell/documents.ts";
import { useAnswer, useAsked, useOpenShop, usePages } from "../shell/shop-context.ts";
import { type Bench, useBench, usePanel, useSession } from "./bench-context.ts";
import { useQuestion } from "./use-question.ts";

/**
 * Computes the stage's page: its layout, the documents of all panels on it, and its products' answer. The open panel
 * is included even if it isn't placed there.
 */
export function StagePageKeeper() {
  const { shop, desk } = useOpenShop();
  const { session, panel, slug } = useBench();
  const address = useSession((state) => state.address);
  const pages = usePages((document) => document);
  const first = shop.panels[0]?.slug;
  // The page is sent again when the panel's target changes.
  const sendTo = usePanel((state) => behaviours.on(state.document.behaviour ?? {}, "sendTo", "wide"));
  const page = useAsked(() => desk.page(address, pages, first), `${address} ${JSON.stringify([pages, first])}`);

  // biome-ignore lint/correctness/useExhaustiveDependencies: where choices are taken to is told with the page
  useEffect(() => {
    if (!page) return;
    let over = false;
    const stands = page.layout.panels.some((one) => one.panel === slug);
    const standing: PanelOnPage[] = stands ? page.layout.panels : [{ panel: slug }];
    const targetOf = (document: PanelDocument) => desk.target({ behaviour: document.behaviour }, pages);
    panelsOf(shop.slug, standing, { panel, slug }, targetOf).then(
      (panels) => {
        if (!over)
          session.setState({
            shown: { page, panels, around: { bars: pages.bars, menu: pages.menu, search: pages.search } },
          });
      },
      (error) => console.error(error),
    );
    return () => {
      over = true;
    };
  }, [page, pages, panel, slug, session, shop.slug, desk, sendTo]);
  return <AnswerKeeper />;
}

/** Computes the answer of the page's products for the panel's facets, and their reach. */
function AnswerKeeper() {
  const { engine } = useOpenShop();
  const { session } = useBench();
  const panel = usePanel((state) => state.document);
  const question = useQuestion();
  const answer = useAnswer(question);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the answer is to this very panel, on this very page
  useEffect(() => {
    if (!answer) return session.setState({ answer });
    let over = false;
    // Updated together: showing a reach before it is corrected would be a false claim.
    reachesOf(engine, panel, answer, question).then((reaches) => {
      if (!over) session.setState({ answer, asked: { ...question, ...question.selection }, reaches });
    }, console.error);
    return () => {
      over = true;
    };
  }, [session, answer]);
  return null;
}

/** The documents of panels, the open one in its local state; missing ones are left out. */
async function panelsOf(
  shop: string,
  standing: readonly PanelOnPage[],
  open: Pick<Bench, "panel" | "slug">,
  targetOf: (document: PanelDocument) => Promise<SendTarget | undefined>,
): Promise<PagePanel[]> {
  const found = await Promise.all(
    standing.map(async ({ panel, at, after }): Promise<PagePanel | undefined> => {
      const document =
        panel === open.slug
          ? open.panel.getState().document
          : await readDocument(shop, "panel", panel).catch(() => undefined);
      return document && { slug: panel, at, after, panel: document, target: await targetOf(document) };
    }),
  );
  return found.flatMap((one) => one ?? []);
}
