import { Command } from "cmdk";
import { useContext, useMemo } from "react";
import { useNavigate, useParams } from "react-router";
import { shopPath, useShops, useTool } from "../api.ts";
import type { Action, ViewActions } from "./action.ts";
import { findByWords } from "./find-actions.ts";
import { useColourActions, usePageActions, useProductActions } from "./found-things.ts";
import { historyOf } from "./history.ts";
import { openHelp } from "./keys.ts";
import { undoLast } from "./removals.ts";
import { shopActions } from "./shop-actions.ts";
import { ShopContext } from "./shop-context.ts";
import { shopViews } from "./views.ts";
import { settled } from "./when-there.ts";

/** The first of several actions with the same name: nobody could tell them apart. */
const onceEach = (actions: readonly Action[]): Action[] =>
  [...new Map([...actions].reverse().map((action) => [action.name, action])).values()].reverse();

async function signOut(): Promise<void> {
  await fetch("/sign-out", { method: "POST" });
  location.assign("/sign-in");
}

/** Number of actions listed at once. */
const most = 60;

/** The actions of a view and of the whole tool that match some words. */
export function CommandList({
  stores,
  actions,
  asked,
  close,
}: ViewActions & {
  asked: string;
  close(): void;
}) {
  const navigate = useNavigate();
  const { shop } = useParams();
  const open = useContext(ShopContext);
  const { data: tool } = useTool();
  const { data: shops } = useShops();
  const pages = usePageActions(open, navigate);
  const colours = useColourActions(open, navigate);
  const products = useProductActions(open, asked, navigate);
  // The list does not change while it is searched.
  // biome-ignore lint/correctness/useExhaustiveDependencies: the list is made when it opens
  const all = useMemo<Action[]>(
    () =>
      onceEach([
        ...(stores.length > 0
          ? [
              { name: "Undo", run: () => undoLast(historyOf(stores), shopPath(shop ?? "")) },
              { name: "Redo", run: () => historyOf(stores).redo() },
            ]
          : []),
        ...actions(),
        ...(shop === undefined
          ? []
          : shopViews(shop).map(({ to, label }) => ({
              name: `Go to the ${label.toLowerCase()}`,
              run: () => navigate(to),
            }))),
        ...(open ? shopActions(open, navigate) : []),
        ...pages,
        ...colours,
        ...(shops ?? []).map(({ slug, name }) => ({
          name: `Open the shop ${name}`,
          run: () => navigate(shopPath(slug)),
        })),
        { name: "Go to all shops", run: () => navigate("/") },
        { name: "New shop from a file", run: () => navigate("/new") },
        {
          name: "Help and keyboard shortcuts",
          also: "keys manual",
          run: openHelp,
        },
        ...(tool?.signedIn ? [{ name: "Sign out", run: () => void signOut() }] : []),
      ]),
    [tool, pages, colours, shops],
  );
  const found = findByWords(all, ({ name, also = "" }) => `${name} ${also}`, asked).slice(0, most);
  return (
    <>
      <Command.Empty className="px-3 py-4 text-quiet">No action has that name.</Command.Empty>
      {onceEach([...found, ...products]).map(({ name, run }) => (
        <Command.Item
          key={name}
          value={name}
          className="cursor-pointer rounded-lg px-3 py-2 data-[selected=true]:bg-plum-soft"
          onSelect={() => {
            close();
            // The closed list gives focus back first, so that the action can give it to what it made.
            setTimeout(run, settled);
          }}
        >
          {name}
        </Command.Item>
      ))}
    </>
  );
}
