import { useEffect, useMemo, useState } from "react";
import { Navigate, useParams, useSearchParams } from "react-router";
import { firstPageOf } from "../../core/page/shown-page.ts";
import { fallbackLanguage, languagesOf } from "../../core/shop/languages.ts";
import { Commands } from "../shell/commands.tsx";
import { ConflictNote } from "../shell/conflict-note.tsx";
import { useDocument } from "../shell/documents.ts";
import type { Stepped } from "../shell/history.ts";
import { NoDocument } from "../shell/no-document.tsx";
import { NotHere } from "../shell/not-here.tsx";
import { useOpenShop, useShopSettings } from "../shell/shop-context.ts";
import { SideBySide } from "../shell/side-by-side.tsx";
import { AddHere } from "./add-here.tsx";
import { benchActions } from "./bench-actions.ts";
import { BenchContext, usePanel, useSession } from "./bench-context.ts";
import { lastPanel, lastSession, remember } from "./bench-memory.ts";
import { BenchStrip } from "./bench-strip.tsx";
import { EvidenceLine } from "./evidence-line.tsx";
import { Lattice } from "./lattice.tsx";
import { LookKeeper } from "./look-keeper.tsx";
import { PictureTaker } from "./panel-pictures.tsx";
import { PanelTabs } from "./panel-tabs.tsx";
import { createSession } from "./session.ts";
import { Stage } from "./stage.tsx";
import { StagePageKeeper } from "./stage-page.tsx";
import { StyleCard } from "./style-card.tsx";
import { TrialFrame } from "./trial-frame.tsx";

/** The bench of the address's panel; the shop's first if none is given. */
export function BenchView() {
  const { shop, pages } = useOpenShop();
  const { panel: slug } = useParams();
  const [query] = useSearchParams();
  const [first] = shop.panels;
  // Only the initial page matters: others are chosen on the bench.
  const [usual] = useState(() => firstPageOf(slug ?? "", pages.getState().document, first?.slug));
  const asked = query.get("page");
  const [left] = useState(() => (asked === null && slug ? lastSession(shop.slug, slug) : {}));
  if (slug === undefined && first) {
    const last = shop.panels.find((panel) => panel.slug === lastPanel(shop.slug)) ?? first;
    const page = asked === null ? "" : `?page=${encodeURIComponent(asked)}`;
    return <Navigate to={`/shops/${shop.slug}/panels/${last.slug}${page}`} replace />;
  }
  if (!shop.panels.some((one) => one.slug === slug)) return <NoDocument kind="panel" slug={slug ?? ""} />;
  const address = asked ?? left.address ?? usual;
  return <OpenBench key={`${slug} ${address}`} shop={shop.slug} slug={slug ?? ""} address={address} />;
}

/** The lattice with the panels' tabs, in full width or reduced to the names of its rows. */
function LatticeSide({ shop, slug }: { shop: string; slug: string }) {
  const folded = useSession((state) => state.folded);
  return (
    <section
      aria-label="Table of the panel"
      data-folded={folded || undefined}
      className={`flex flex-none flex-col border-e border-hair max-lg:min-h-0 max-lg:w-full max-lg:flex-1 ${folded ? "w-[250px]" : "w-[470px]"}`}
    >
      <PanelTabs shop={shop} current={slug} />
      <Lattice />
    </section>
  );
}

/** The view's heading, which the tab shows already. */
const PanelHeading = () => <h1 className="sr-only">Panel {usePanel((state) => state.document.name)}</h1>;

function OpenBench({ shop, slug, address }: { shop: string; slug: string; address: string }) {
  const { store: panel, error } = useDocument(shop, "panel", slug);
  const open = useOpenShop();
  const languages = useShopSettings((document) => languagesOf(document).join(" "));
  const session = useMemo(() => createSession(address, { ...lastSession(shop, slug), address }), [shop, slug, address]);
  useEffect(() => remember(shop, slug, session), [shop, slug, session]);
  // A language that the shop no longer has gives way to its own.
  useEffect(() => {
    const [own = fallbackLanguage, ...others] = languages.split(" ");
    if (!others.includes(session.getState().language)) session.setState({ language: own });
  }, [session, languages]);
  const { settings, pages } = open;
  const [others, setOthers] = useState<readonly Stepped[]>([]);
  const bench = useMemo(
    () =>
      panel && {
        panel,
        slug,
        session,
        stores: [panel, settings, pages, ...others],
        include: (store: Stepped) => setOthers((now) => (now.includes(store) ? now : [...now, store])),
      },
    [panel, slug, settings, pages, session, others],
  );

  if (error) return <NotHere title="Something went wrong" message={error.message} />;
  if (!panel || !bench) return <div className="grid h-full place-items-center text-quiet">Loading the panel…</div>;
  return (
    <BenchContext value={bench}>
      <div className="flex h-full flex-col">
        <StagePageKeeper />
        <LookKeeper />
        <BenchStrip />
        <ConflictNote store={panel} what="This panel was" />
        <PanelHeading />
        <SideBySide
          parts={[
            { label: "Table of the panel", node: <LatticeSide shop={shop} slug={slug} /> },
            {
              label: "Live page",
              node: (
                <section aria-label="Live page" className="flex min-h-0 min-w-0 flex-1 flex-col bg-base-200">
                  <Stage />
                  <EvidenceLine />
                </section>
              ),
            },
          ]}
        />
        <TrialFrame />
        <PictureTaker />
        <AddHere />
        <StyleCard />
        <Commands stores={bench.stores} actions={() => benchActions(open, bench)} />
      </div>
    </BenchContext>
  );
}
