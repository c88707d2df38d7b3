import { type EditorState, Plugin, PluginKey } from "@tiptap/pm/state";
import { Decoration, DecorationSet } from "@tiptap/pm/view";
import { Extension } from "@tiptap/react";

/** Something between the blocks of a text that isn't part of it, such as a panel in an article. */
export interface Between {
  id: string;
  name: string;
  /** Number of blocks before it. */
  after: number;
}

const key = new PluginKey<DecorationSet>("between-blocks");

/** The position in a text after a number of blocks. */
function placeAfter({ doc }: EditorState, blocks: number): number {
  let place = 0;
  for (let at = 0; at < Math.min(blocks, doc.childCount); at++) place += doc.child(at).nodeSize;
  return place;
}

function drawn(state: EditorState, items: readonly Between[]): DecorationSet {
  return DecorationSet.create(
    state.doc,
    items.map(({ id, name, after }) =>
      Decoration.widget(
        placeAfter(state, after),
        () => {
          const mark = document.createElement("div");
          mark.className = "my-1 rounded-md border border-dashed border-primary px-2 py-1 text-[13px] text-quiet";
          mark.contentEditable = "false";
          mark.textContent = `Panel: ${name}`;
          return mark;
        },
        { id, side: -1, key: `${id} ${name}` },
      ),
    ),
  );
}

/** Shows items between the blocks of a text, which keep their neighbours during editing. */
export const betweenBlocks = (items: readonly Between[]) =>
  Extension.create({
    name: "betweenBlocks",
    addProseMirrorPlugins: () => [
      new Plugin<DecorationSet>({
        key,
        state: {
          init: (_, state) => drawn(state, items),
          apply: (step, now, _before, state) => {
            const next = step.getMeta(key) as readonly Between[] | undefined;
            return next ? drawn(state, next) : now.map(step.mapping, step.doc);
          },
        },
        props: { decorations: (state) => key.getState(state) },
      }),
    ],
  });

/** Replaces the items between the blocks. */
export const setBetween = (state: EditorState, items: readonly Between[]) => state.tr.setMeta(key, items);

/** By id, the present number of blocks before each item. */
export function placesNow(state: EditorState): Map<string, number> {
  const found = key.getState(state)?.find() ?? [];
  return new Map(
    found.map(({ from, spec }) => {
      const { doc } = state;
      let blocks = 0;
      for (let place = 0; blocks < doc.childCount && place + doc.child(blocks).nodeSize <= from; blocks++)
        place += doc.child(blocks).nodeSize;
      return [String((spec as { id: string }).id), blocks] as const;
    }),
  );
}
