import { Copy, Plus, Trash2 } from "lucide-react";
import { addStyle, changeStyle, removeStyle } from "../../core/look/edit.ts";
import { freeId } from "../../core/panel/row-id.ts";
import { LabelField } from "../shell/label-field.tsx";
import { useLook, useLookDocument, useLookSession } from "./look-context.ts";

/** The look's option styles: created once, shown on the sheet, assigned to facets on the bench. */
export function StylesList() {
  const { store, session } = useLook();
  const look = useLookDocument();
  const open = useLookSession((state) => state.style);
  const { apply } = store.getState();
  const add = (name: string, values = {}) => {
    const id = freeId(look.styles, "style");
    apply(addStyle(id, name, values));
    session.setState({ style: id });
  };
  return (
    <div className="flex flex-col gap-2">
      <p className="text-[13px] text-quiet">
        A design for the options of any number of facets. Open one, then click a part of the sheet; changes apply to
        this style only.
      </p>
      <ul className="flex flex-col gap-1" aria-label="Option styles">
        {look.styles.map((style) => (
          <li
            key={style.id}
            className={`flex items-center gap-1 rounded-lg border p-1.5 ${style.id === open ? "border-primary bg-plum-soft" : "border-hair"}`}
          >
            <span className="min-w-0 flex-1">
              <LabelField
                value={style.name}
                label="Name of the option style"
                save={(name) => apply(changeStyle(style.id, "Rename an option style", { name }))}
              />
              <span className="block text-[13px] text-quiet">
                {Object.keys(style.values).length === 1
                  ? "sets one value"
                  : `sets ${Object.keys(style.values).length} values`}
              </span>
            </span>
            <button
              type="button"
              className="btn btn-xs"
              aria-pressed={style.id === open}
              onClick={() => session.setState({ style: style.id === open ? undefined : style.id })}
            >
              {style.id === open ? "Done" : "Open"}
            </button>
            <button
              type="button"
              className="grid size-7 place-items-center rounded-md hover:bg-sand"
              aria-label={`Copy ${style.name}`}
              onClick={() => add(`${style.name} copy`, style.values)}
            >
              <Copy size={13} aria-hidden />
            </button>
            <button
              type="button"
              className="grid size-7 place-items-center rounded-md hover:bg-sand"
              aria-label={`Remove ${style.name}`}
              onClick={() => {
                apply(removeStyle(style.id));
                if (style.id === open) session.setState({ style: undefined });
              }}
            >
              <Trash2 size={13} aria-hidden />
            </button>
          </li>
        ))}
      </ul>
      <button type="button" className="btn btn-sm self-start" onClick={() => add(`Style ${look.styles.length + 1}`)}>
        <Plus size={14} aria-hidden /> New option style
      </button>
    </div>
  );
}
