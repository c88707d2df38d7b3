import { useMemo } from "react";
import { Navigate, useParams } from "react-router";
import { spokenToken } from "../../core/look/edit.ts";
import { tokens } from "../../core/look/tokens.ts";
import { DocumentFrame } from "../shell/document-frame.tsx";
import { useDocument } from "../shell/documents.ts";
import { NoDocument } from "../shell/no-document.tsx";
import { NotHere } from "../shell/not-here.tsx";
import { useOpenShop, useShopSettings } from "../shell/shop-context.ts";
import { SideBySide } from "../shell/side-by-side.tsx";
import { createLookSession, LookContext, type LookSessionStore, useLookDocument } from "./look-context.ts";
import { LookSide } from "./look-side.tsx";
import { LookTabs } from "./look-tabs.tsx";
import { NoLook } from "./no-look.tsx";
import { SpecimenBar } from "./specimen-bar.tsx";
import { SpecimenSheet } from "./specimen-sheet.tsx";

/** The look in the address; by default the shop's own, or its first. */
export function LookView() {
  const { shop } = useOpenShop();
  const { look } = useParams();
  const named = useShopSettings((settings) => settings.look);
  const usual = (shop.looks.find(({ slug }) => slug === named) ?? shop.looks[0])?.slug;
  if (look === undefined && usual !== undefined) return <Navigate to={`/shops/${shop.slug}/look/${usual}`} replace />;
  if (look === undefined) return <NoLook />;
  if (!shop.looks.some(({ slug }) => slug === look)) return <NoDocument kind="look" slug={look} />;
  return <OneLook key={look} shop={shop.slug} slug={look} />;
}

/** Every setting of a look by name; selecting one opens its part and state. */
const lookActions = (session: LookSessionStore) =>
  [...tokens.values()].map((token) => ({
    name: `Style ${spokenToken(token)}`,
    run: () => session.setState({ part: token.part, state: token.state }),
  }));

/** The view's heading, which the tab shows already. */
const LookHeading = () => <h1 className="sr-only">Look {useLookDocument().name}</h1>;

function OneLook({ shop, slug }: { shop: string; slug: string }) {
  const { store, error } = useDocument(shop, "look", slug);
  const session = useMemo(createLookSession, []);
  const open = useMemo(() => store && { store, slug, session }, [store, slug, session]);
  if (error) return <NotHere title="Something went wrong" message={error.message} />;
  if (!open) return <div className="grid h-full place-items-center text-quiet">Loading the look…</div>;
  return (
    <LookContext value={open}>
      <DocumentFrame store={open.store} what="This look was" actions={() => lookActions(session)}>
        <LookHeading />
        <SideBySide
          parts={[
            {
              label: "Specimens",
              node: (
                <section aria-label="Specimens" className="flex min-h-0 min-w-0 flex-1 flex-col">
                  <LookTabs />
                  <SpecimenBar />
                  <SpecimenSheet />
                </section>
              ),
            },
            { label: "Settings", node: <LookSide /> },
          ]}
        />
      </DocumentFrame>
    </LookContext>
  );
}
