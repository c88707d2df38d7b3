import { useEffect, useMemo } from "react";
import { type LookedPanel, pageLook, plainLook } from "../../core/panel/look/page-look.ts";
import { bands } from "../../core/settings/band.ts";
import { bandQueries, fixedQueries, resolveBands, resolveScheme } from "../../core/settings/media.ts";
import { useOpenShop, useShopSettings } from "../shell/shop-context.ts";
import { useLookDocuments, useLookStores } from "../shell/use-looks.ts";
import { useBench, usePanel, useSession } from "./bench-context.ts";

/** Applies looks to the page on the stage; a change shows in both frames without a reload. */
export function LookKeeper() {
  const { shop } = useOpenShop();
  const { session, slug, include } = useBench();
  const { look: ofShop, limits } = useShopSettings((settings) => settings);
  const open = usePanel((state) => state.document);
  const standing = useSession((state) => state.shown?.panels);
  const dark = useSession((state) => state.dark);
  const panels = useMemo(
    () => (standing ?? []).map((one) => (one.slug === slug ? { ...one, panel: open } : one)),
    [standing, slug, open],
  );
  const names = [ofShop, ...panels.map(({ panel }) => panel.look)].filter((name) => name !== undefined);
  const stores = useLookStores(shop.slug, names);
  const looks = useLookDocuments(stores);
  useEffect(() => {
    // Changes of style made on the stage are undone together with all others.
    for (const store of Object.values(stores ?? {})) include(store);
  }, [stores, include]);

  const own = ofShop === undefined ? plainLook : looks?.[ofShop];
  const looked = panels.map(
    ({ slug: name, panel }): LookedPanel => ({
      slug: name,
      panel,
      look: panel.look === undefined ? undefined : looks?.[panel.look],
    }),
  );
  const scheme = dark ? "dark" : "light";
  const written = looks && resolveScheme(pageLook(own ?? plainLook, looked), scheme);
  const css = written && resolveBands(written, bandQueries(limits));
  const hasCss =
    looks !== undefined && [own, ...looked.map(({ look }) => look)].some((look) => (look?.css ?? "") !== "");

  const hasDark = [own, ...looked.map(({ look }) => look)].some((look) => Object.keys(look?.dark ?? {}).length > 0);
  useEffect(() => session.setState({ hasDark }), [session, hasDark]);

  useEffect(() => {
    if (written === undefined) return;
    const { pictureLooks } = session.getState();
    for (const band of bands) pictureLooks[band].replaceSync(resolveBands(written, fixedQueries(band)));
  }, [session, written]);

  // biome-ignore lint/correctness/useExhaustiveDependencies: what is worked out is told when it says something else
  useEffect(() => {
    if (css === undefined) return;
    session.setState({ look: css });
    if (!hasCss) return;
    let over = false;
    // The CSS parser is loaded only if there is extra CSS.
    import("../../core/panel/look/page-extra.ts").then(({ pageExtra }) => {
      if (!over) session.setState({ look: css + pageExtra(own ?? plainLook, looked) });
    }, console.error);
    return () => {
      over = true;
    };
  }, [css, hasCss, own, session]);
  return null;
}
