import { useEffect, useRef } from "preact/hooks";
import { pathSeparator } from "../../../../core/catalogue/path.ts";
import { innerSearchFrom } from "../../../../core/displays/seeking.ts";
import type { DisplayProps, DisplayView, OptionView } from "../display-props.ts";
import { BoxOption } from "../option-input.tsx";
import { OptionList } from "../option-list.tsx";

/**
 * A list behind a button: the browser's own select for a single choice, check boxes for several. Without a title above
 * it, the button contains the title.
 */
function Dropdown(props: DisplayProps) {
  return props.row.mode === "one" || props.row.mode === "tree" ? <One {...props} /> : <Many {...props} />;
}

function One({ row, name, options, choose, label, settings, say }: DisplayProps) {
  const chosen = options.find((option) => option.chosen);
  return (
    <select
      class="zt-select"
      name={name}
      aria-label={label}
      value={chosen?.id ?? ""}
      onChange={(event) => choose(event.currentTarget.value ? { options: [event.currentTarget.value] } : undefined)}
    >
      <option value="">{settings.title ? say("any") : label}</option>
      {options.map((option) => (
        <option key={option.id} value={option.id} disabled={option.faded}>
          {nested(option, row.mode === "tree")}
          {option.count === undefined ? "" : ` (${say.number(option.count)})`}
        </option>
      ))}
    </select>
  );
}

/** Deeper categories are indented. */
function nested({ label }: OptionView, tree: boolean): string {
  if (!tree) return label;
  const levels = label.split(pathSeparator);
  return "\u2003".repeat(levels.length - 1) + levels[levels.length - 1];
}

function Many(props: DisplayProps) {
  const { options, label, settings, say } = props;
  const box = useRef<HTMLDetailsElement>(null);
  useEffect(() => {
    const close = (event: Event) => {
      const details = box.current;
      if (!details?.open) return;
      if (event instanceof KeyboardEvent) {
        if (event.key !== "Escape" || !details.contains(document.activeElement)) return;
        // Escape closes the list first, not a drawer around it.
        event.preventDefault();
        details.querySelector("summary")?.focus();
      } else if (event.composedPath().includes(details)) return;
      details.open = false;
    };
    document.addEventListener("pointerdown", close);
    document.addEventListener("keydown", close);
    return () => {
      document.removeEventListener("pointerdown", close);
      document.removeEventListener("keydown", close);
    };
  }, []);
  const chosen = options.filter((option) => option.chosen);
  return (
    <details class="zt-many" ref={box}>
      <summary class="zt-select">
        <span class="zt-unseen">{label}: </span>
        <span class="zt-name">
          {chosen.length === 0
            ? settings.title
              ? say("any")
              : label
            : chosen.map((option) => option.label).join(", ")}
        </span>
      </summary>
      <div class="zt-menu">
        <OptionList
          {...props}
          settings={{
            ...settings,
            foldAfter: 0,
            maxHeight: 0,
            columns: 1,
            flow: "column",
            searchInside: settings.searchInside || options.length > innerSearchFrom,
          }}
          class="zt-boxes"
          Option={BoxOption}
        />
      </div>
    </details>
  );
}

export const view: DisplayView = { View: Dropdown, sheets: ["options.css", "dropdown/dropdown.css"] };
