import { Home, Plus } from "lucide-react";
import { useMemo } from "react";
import { Link } from "react-router";
import { auditLook } from "../../core/look/audit.ts";
import { setLookName } from "../../core/look/edit.ts";
import { useDocumentEntries } from "../shell/document-entries.ts";
import { EntryMenu } from "../shell/entry-menu.tsx";
import { LabelField } from "../shell/label-field.tsx";
import { ManyTabs, mostTabs } from "../shell/many-tabs.tsx";
import { Popover } from "../shell/popover.tsx";
import { RemovedDocuments } from "../shell/removed-documents.tsx";
import { useOpenShop, useShopSettings } from "../shell/shop-context.ts";
import { useLook, useLookDocument } from "./look-context.ts";
import { LookStarts } from "./look-starts.tsx";
import { useMakeLook } from "./make-look.ts";

/** The shop's looks as tabs; the open one's name can be edited. */
export function LookTabs() {
  const { shop, settings } = useOpenShop();
  const { slug, store } = useLook();
  const look = useLookDocument();
  const ofShop = useShopSettings((document) => document.look);
  const make = useMakeLook();
  const to = (other: string) => `/shops/${shop.slug}/look/${other}`;
  const faults = useMemo(() => auditLook(look).filter(({ offered }) => !offered).length, [look]);
  const entries = useDocumentEntries(
    "look",
    { slug, name: look.name },
    {
      duplicate: (name) => void make({ ...look, name }),
      keep: slug === ofShop ? "it is the shop’s look" : undefined,
    },
  );
  return (
    <nav aria-label="Looks" className="flex h-10 flex-none items-stretch overflow-x-auto border-b border-hair px-4">
      {shop.looks.map((one) =>
        one.slug === slug ? (
          <span
            key={one.slug}
            className="flex flex-none items-center gap-1.5 border-b-2 border-accent px-3 font-semibold"
          >
            {one.slug === ofShop ? <Home size={13} aria-label="The shop’s look" /> : null}
            <LabelField
              value={look.name}
              label="Name of the look"
              save={(name) => store.getState().apply(setLookName(name))}
            />
            {faults > 0 ? (
              <span className="badge badge-sm border-error/40 bg-error/10 text-error">{faults}</span>
            ) : null}
          </span>
        ) : shop.looks.length > mostTabs ? null : (
          <Link
            key={one.slug}
            to={to(one.slug)}
            className="flex flex-none items-center gap-1.5 px-3 text-quiet hover:text-base-content"
          >
            {one.slug === ofShop ? <Home size={13} aria-label="The shop’s look" /> : null}
            {one.name}
          </Link>
        ),
      )}
      {shop.looks.length > mostTabs ? <ManyTabs what="looks" entries={shop.looks} current={slug} to={to} /> : null}
      <Popover
        label="New look"
        className="w-[440px] p-3"
        trigger={(props) => (
          <button
            type="button"
            {...props}
            aria-label="New look"
            title="New look"
            className="grid w-9 flex-none place-items-center text-quiet hover:text-base-content"
          >
            <Plus size={16} aria-hidden />
          </button>
        )}
      >
        {(close) => (
          <>
            <LookStarts
              make={(document) => {
                close();
                void make(document);
              }}
            />
            <RemovedDocuments kind="look" />
          </>
        )}
      </Popover>
      <span className="grid flex-none place-items-center">
        <EntryMenu title={`look ${look.name}`} entries={entries} className="size-8" />
      </span>
      {slug === ofShop ? null : (
        <button
          type="button"
          className="btn btn-ghost btn-sm ms-auto self-center"
          onClick={() =>
            settings.getState().apply({
              words: `The shop’s look: ${look.name}`,
              change: (draft) => {
                draft.look = slug;
              },
            })
          }
        >
          <Home size={14} aria-hidden /> Use for the shop
        </button>
      )}
    </nav>
  );
}
