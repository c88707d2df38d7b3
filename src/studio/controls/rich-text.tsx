import { EditorContent, useEditor } from "@tiptap/react";
import StarterKit from "@tiptap/starter-kit";
import { Bold, Italic, Link2, List, ListOrdered } from "lucide-react";
import { useEffect } from "react";
import { cleanHtml } from "../../core/sanitize/clean-html.ts";
import { isSafeAddress } from "../../core/sanitize/safe-address.ts";

import { useTypedText } from "../shell/typing.ts";
import { type Between, betweenBlocks, placesNow, setBetween } from "./between-blocks.ts";

const tool = "grid size-7 place-items-center rounded-md hover:bg-sand aria-pressed:bg-plum-soft";

interface Props {
  label: string;
  html: string;
  save(html: string): void;
  /** Items between the blocks of the text, items that can be inserted, and callbacks. */
  between?: {
    items: readonly Between[];
    /** By id, the names of items that can be inserted at the cursor. */
    more: readonly Pick<Between, "id" | "name">[];
    put(id: string, after: number): void;
    /** Called after the surrounding text has changed. */
    moved(places: ReadonlyMap<string, number>): void;
  };
}

/** A small editor for a few words: emphasis, lists and links. Everything else is removed when saving. */
export default function RichText({ label, html, save, between }: Props) {
  const { type, leave } = useTypedText(html, save, { canSave: () => true });
  const editor = useEditor({
    extensions: [
      StarterKit.configure({
        heading: { levels: [2, 3, 4] },
        horizontalRule: false,
        codeBlock: false,
        link: {
          openOnClick: false,
          isAllowedUri: (address) => isSafeAddress(address),
          HTMLAttributes: { target: null, rel: null },
        },
      }),
      ...(between ? [betweenBlocks(between.items)] : []),
    ],
    content: html,
    editorProps: {
      attributes: {
        class:
          "min-h-20 rounded-b-lg px-3 py-2 focus-visible:-outline-offset-2 [&_a]:underline [&_ol]:list-decimal [&_ol]:ps-5 [&_ul]:list-disc [&_ul]:ps-5",
        "aria-label": label,
        role: "textbox",
        "aria-multiline": "true",
      },
    },
    onUpdate: ({ editor: now }) => {
      type(cleanHtml(now.getHTML()));
      between?.moved(placesNow(now.state));
    },
    onBlur: () => leave(),
  });
  const hasBetween = between !== undefined;
  const items = JSON.stringify(between?.items ?? []);
  useEffect(() => {
    if (hasBetween && editor) editor.view.dispatch(setBetween(editor.state, JSON.parse(items)));
  }, [editor, hasBetween, items]);
  if (!editor) return null;
  const link = () => {
    const address = prompt("Where does the link lead to?", editor.getAttributes("link").href ?? "https://");
    if (address === null) return;
    if (address.trim() === "") editor.chain().focus().unsetLink().run();
    else if (isSafeAddress(address.trim())) editor.chain().focus().setLink({ href: address.trim() }).run();
    else alert("Enter an address that begins with https://, mailto: or tel:, or with / or ? for a page of the shop.");
  };
  const tools = [
    { label: "Bold", icon: Bold, on: editor.isActive("bold"), run: () => editor.chain().focus().toggleBold().run() },
    {
      label: "Italic",
      icon: Italic,
      on: editor.isActive("italic"),
      run: () => editor.chain().focus().toggleItalic().run(),
    },
    {
      label: "List",
      icon: List,
      on: editor.isActive("bulletList"),
      run: () => editor.chain().focus().toggleBulletList().run(),
    },
    {
      label: "Numbered list",
      icon: ListOrdered,
      on: editor.isActive("orderedList"),
      run: () => editor.chain().focus().toggleOrderedList().run(),
    },
    { label: "Link", icon: Link2, on: editor.isActive("link"), run: link },
  ];
  return (
    <div className="rounded-lg border border-hair bg-base-100">
      <div role="toolbar" aria-label="Text style" className="flex gap-0.5 border-b border-hair p-1">
        {tools.map(({ label: name, icon: Icon, on, run }) => (
          <button
            key={name}
            type="button"
            className={tool}
            aria-label={name}
            title={name}
            aria-pressed={on}
            onMouseDown={(event) => event.preventDefault()}
            onClick={run}
          >
            <Icon size={14} aria-hidden />
          </button>
        ))}
        {between && between.more.length > 0 ? (
          <select
            className="select select-xs ms-auto w-40"
            aria-label="Insert a panel at the cursor"
            value=""
            onChange={(event) => {
              const { $to } = editor.state.selection;
              between.put(event.target.value, $to.depth === 0 ? $to.index() : $to.index(0) + 1);
            }}
          >
            <option value="">Insert panel…</option>
            {between.more.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        ) : null}
      </div>
      <EditorContent editor={editor} />
    </div>
  );
}
