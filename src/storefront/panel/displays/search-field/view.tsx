import { useState } from "preact/hooks";
import { maxFound } from "../../../../core/displays/seeking.ts";
import { matchesWords, words } from "../../../../core/engine/index/words.ts";
import type { DisplayProps, DisplayView } from "../display-props.ts";
import { BoxOption } from "../option-input.tsx";

/** A field that finds options by name, for facets with too many to show; chosen ones remain visible. */
function SearchField({ row, name, options, toggle, label, id, say }: DisplayProps) {
  const [asked, setAsked] = useState("");
  const query = words(asked);
  const fitting = query.length === 0 ? [] : options.filter(({ label: one }) => matchesWords(one, query));
  const found = fitting.filter(({ chosen }) => !chosen);
  const shown = [...options.filter(({ chosen }) => chosen), ...found.slice(0, maxFound)];
  return (
    <>
      <input
        class="zt-inside"
        type="search"
        aria-label={say("findIn", { label })}
        placeholder={say("findAmong", { n: options.length })}
        aria-controls={`${id}-options`}
        onInput={(event) => setAsked(event.currentTarget.value)}
      />
      <ul id={`${id}-options`} class="zt-options zt-boxes" aria-label={label}>
        {shown.map((option) => (
          <li key={option.id}>
            <BoxOption row={row} name={name} option={option} toggle={toggle} say={say} />
          </li>
        ))}
      </ul>
      <p class="zt-hint" role="status">
        {query.length === 0
          ? ""
          : fitting.length === 0
            ? say("notCalled")
            : found.length > maxFound
              ? say("andMore", { n: found.length - maxFound })
              : ""}
      </p>
    </>
  );
}

export const view: DisplayView = { View: SearchField, sheets: ["options.css"] };
