import { autocompletion, type CompletionContext } from "@codemirror/autocomplete";
import { defaultKeymap, history, historyKeymap, indentWithTab } from "@codemirror/commands";
import { css, cssLanguage } from "@codemirror/lang-css";
import { bracketMatching, defaultHighlightStyle, indentOnInput, syntaxHighlighting } from "@codemirror/language";
import { linter, lintGutter } from "@codemirror/lint";
import { EditorState } from "@codemirror/state";
import { EditorView, keymap, lineNumbers } from "@codemirror/view";
import { useEffect, useRef, useState } from "react";
import { setExtraCss } from "../../core/look/edit.ts";
import { checkCss } from "../../core/look/extra-css.ts";
import { propertyOf } from "../../core/look/sheet.ts";
import { parts, tokens } from "../../core/look/tokens.ts";
import { useLook, useLookDocument } from "./look-context.ts";

/** Delay after typing before the text is applied, in ms. */
const rest = 300;

const classes = [...new Set(Object.values(parts).flatMap(({ at }) => at.match(/\.z[ts]-[\w-]+/g) ?? []))].sort();
const options = [
  ...classes.map((label) => ({ label, type: "class", detail: "part" })),
  ...[...tokens.values()].map(({ name, label }) => ({
    label: `var(${propertyOf(name)})`,
    type: "variable",
    detail: label,
  })),
];

/** Completes part names after a dot, tokens after a dash or `var`. */
function complete(context: CompletionContext) {
  const before = context.state.sliceDoc(Math.max(0, context.pos - 80), context.pos);
  let start = before.length;
  while (start > 0 && /[.\w(-]/.test(before[start - 1] ?? "")) start--;
  const word = before.slice(start);
  return /^(?:\.|var\(|--)/.test(word) ? { from: context.pos - word.length, options, validFor: /^[.\w()-]*$/ } : null;
}

const theme = EditorView.theme({
  "&": {
    fontSize: "13px",
    border: "1px solid var(--color-base-300)",
    borderRadius: "8px",
    background: "var(--color-base-100)",
  },
  "&.cm-focused": { outline: "2px solid #b4561b" },
  ".cm-content": { fontFamily: "ui-monospace, monospace" },
  ".cm-scroller": { maxHeight: "52vh", minHeight: "180px" },
  ".cm-gutters": { background: "transparent", border: "0" },
});

/** The designer's own CSS, checked while typing. CSS with an error is not applied; the last correct version stays. */
export function ExtraCss() {
  const { store } = useLook();
  const look = useLookDocument();
  const host = useRef<HTMLDivElement>(null);
  const view = useRef<EditorView | undefined>(undefined);
  const [errors, setErrors] = useState(0);
  const latest = useRef(look.css);
  latest.current = look.css;
  useEffect(() => {
    if (!host.current) return;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const take = (text: string) => {
      const faults = checkCss(text).filter(({ error }) => error).length;
      setErrors(faults);
      if (faults === 0 && text !== latest.current) store.getState().apply(setExtraCss(text), true);
    };
    const editor = new EditorView({
      parent: host.current,
      state: EditorState.create({
        doc: latest.current,
        extensions: [
          lineNumbers(),
          history(),
          indentOnInput(),
          bracketMatching(),
          syntaxHighlighting(defaultHighlightStyle),
          css(),
          cssLanguage.data.of({ autocomplete: complete }),
          autocompletion(),
          lintGutter(),
          linter(
            ({ state }) =>
              checkCss(state.doc.toString()).map(({ error, from, to, reason }) => ({
                from: Math.min(from, state.doc.length),
                to: Math.min(Math.max(to, from), state.doc.length),
                severity: error ? ("error" as const) : ("warning" as const),
                message: reason,
              })),
            { delay: rest },
          ),
          // After Escape, Tab leaves the editor, as in the library's default.
          keymap.of([...defaultKeymap, ...historyKeymap, indentWithTab]),
          EditorView.lineWrapping,
          EditorView.contentAttributes.of({ "aria-label": "Extra CSS" }),
          EditorView.updateListener.of((update) => {
            if (!update.docChanged) return;
            clearTimeout(timer);
            timer = setTimeout(() => take(update.state.doc.toString()), rest);
          }),
          theme,
        ],
      }),
    });
    view.current = editor;
    return () => {
      clearTimeout(timer);
      take(editor.state.doc.toString());
      editor.destroy();
    };
  }, [store]);
  useEffect(() => {
    const editor = view.current;
    // An undo made elsewhere replaces the editor’s text; text typed here is already in it.
    if (editor && !editor.hasFocus && editor.state.doc.toString() !== look.css)
      editor.dispatch({ changes: { from: 0, to: editor.state.doc.length, insert: look.css } });
  }, [look.css]);
  return (
    <div className="flex flex-col gap-2 text-[13px]">
      <p className="text-quiet">
        Applied last, inside the panel only. <code>&amp;</code> is the panel; parts and tokens are completed while you
        type. Escape, then Tab leaves the editor.
      </p>
      <div ref={host} />
      <p role="status" className={errors > 0 ? "text-error" : "text-quiet"}>
        {errors > 0
          ? `${errors} ${errors === 1 ? "error" : "errors"}. The last valid CSS stays in use.`
          : look.css === ""
            ? "No extra CSS yet."
            : "Applied."}
      </p>
    </div>
  );
}
