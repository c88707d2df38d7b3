import { Check, Copy, X } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import { Link } from "react-router";
import { useStore } from "zustand";
import { matchesWords, words } from "../../core/engine/index/words.ts";
import { productAddress } from "../../core/page/page-list.ts";
import { FindField } from "../controls/find-field.tsx";
import { useAsked, useOpenShop } from "../shell/shop-context.ts";
import { CountedAgain } from "./counted-again.tsx";
import { LongList } from "./long-list.tsx";
import { type OpenedNumber, openedNumber } from "./opened-number.ts";

/** The side panel that shows an opened number. */
export function NumberSheet() {
  const open = useStore(openedNumber, (state) => state.open);
  return open ? <Sheet number={open} /> : null;
}

const close = () => openedNumber.setState({ open: undefined });

function Sheet({ number }: { number: OpenedNumber }) {
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => {
    dialog.current?.showModal();
    // Leaving the view closes its number.
    return close;
  }, []);
  return (
    <dialog
      ref={dialog}
      aria-label={number.title}
      className="ms-auto me-0 h-dvh max-h-none w-[440px] max-w-full bg-base-100 shadow-2xl backdrop:bg-[#321a3d33]"
      onClose={close}
      onPointerDown={(event) => event.target === event.currentTarget && close()}
    >
      <div className="flex h-full flex-col gap-3 p-5">
        <header className="flex items-start gap-3">
          <h2 className="flex-1 text-lg">{number.title}</h2>
          <button type="button" className="btn btn-ghost btn-sm btn-square" aria-label="Close" onClick={close}>
            <X size={16} aria-hidden />
          </button>
        </header>
        <p>{number.says}</p>
        {number.change ? <Change change={number.change} /> : null}
        <Behind number={number} />
      </div>
    </dialog>
  );
}

/** A link to where a number can be changed. */
function Change({ change }: { change: NonNullable<OpenedNumber["change"]> }) {
  if ("to" in change)
    return (
      <Link className="link self-start" to={change.to} onClick={close}>
        {change.words}
      </Link>
    );
  const go = () => {
    close();
    change.act();
  };
  return (
    <button type="button" className="link self-start" onClick={go}>
      {change.words}
    </button>
  );
}

/** One line of a number's details. */
interface Item {
  id: string;
  words: string;
  /** Small print beside it. */
  more: string;
  /** Address of a product's page in the shop, and of its row in the table of products. */
  page?: string;
  row?: string;
}

function Behind({ number }: { number: OpenedNumber }) {
  const { shop, desk } = useOpenShop();
  const { behind, told } = number;
  const items = useAsked<Item[]>(async () => {
    if ("lines" in behind) return behind.lines.map((line) => ({ id: `${line.words} ${line.more}`, ...line }));
    if ("options" in behind)
      return (await desk.recountOptions(await behind.options)).map(({ facet, id, label }) => ({
        id: `${facet} ${id}`,
        words: label,
        more: facet,
      }));
    return (await desk.recountProducts(await behind.products)).map(({ id, title }) => ({
      id,
      words: title,
      more: id,
      page: `/draft/${encodeURIComponent(shop.slug)}${productAddress({ id })}`,
      row: `/shops/${encodeURIComponent(shop.slug)}/catalogue/products?product=${encodeURIComponent(id)}`,
    }));
  }, number);
  const [sought, seek] = useState("");
  if (!items) return <p className="text-quiet">Counting again, row by row…</p>;
  const asked = words(sought);
  const shown = asked.length === 0 ? items : items.filter((one) => matchesWords(`${one.words} ${one.more}`, asked));
  const what = "lines" in behind ? "" : "options" in behind ? "options" : "products";
  return (
    <>
      {"lines" in behind ? (
        <CountedAgain
          told={told}
          again={behind.again}
          done={`Worked out again ${behind.how}`}
          gives={`worked out ${behind.how} it is`}
          what=""
        />
      ) : (
        <CountedAgain
          told={told}
          again={items.length}
          done="Counted again from the rows of the catalogue"
          gives="the rows of the catalogue give"
          what={what}
        />
      )}
      {items.length > 0 && what !== "" ? (
        <div className="flex items-center gap-2">
          <FindField label={`Search these ${what}`} value={sought} set={seek} className="input-sm flex-1" />
          <CopyButton items={shown} />
        </div>
      ) : null}
      <LongList label={number.title} count={shown.length}>
        {(at) => {
          const item = shown[at];
          return item ? <Line item={item} /> : null;
        }}
      </LongList>
    </>
  );
}

const Line = ({ item: { words, more, page, row } }: { item: Item }) => (
  <span className="flex items-baseline gap-3">
    {page ? (
      <a
        href={page}
        target="_blank"
        rel="noreferrer"
        className="truncate underline decoration-hair hover:decoration-base-content"
      >
        {words}
      </a>
    ) : (
      <span className="truncate">{words}</span>
    )}
    <span className="ms-auto flex-none text-[12px] text-quiet">
      {row ? (
        <Link to={row} className="hover:underline" onClick={close} aria-label={`${words} in the table of products`}>
          {more}
        </Link>
      ) : (
        more
      )}
    </span>
  </span>
);

/** Copies the visible lines, tab-separated. */
function CopyButton({ items }: { items: readonly Item[] }) {
  const [copied, setCopied] = useState<readonly Item[] | undefined>(undefined);
  const done = copied === items;
  return (
    <button
      type="button"
      className="btn btn-sm"
      onClick={() =>
        navigator.clipboard.writeText(items.map(({ more, words }) => `${more}\t${words}`).join("\n")).then(
          () => setCopied(items),
          () => setCopied(undefined),
        )
      }
    >
      {done ? <Check size={14} aria-hidden /> : <Copy size={14} aria-hidden />}
      {done ? "Copied" : `Copy ${items.length.toLocaleString("en")}`}
    </button>
  );
}
