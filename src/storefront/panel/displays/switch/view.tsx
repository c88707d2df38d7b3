import { affirmative } from "../../../../core/catalogue/yes-no.ts";
import type { DisplayProps, DisplayView } from "../display-props.ts";
import { OptionCount } from "../option-count.tsx";

/** On for the affirmative value, off for no choice: nobody looks for “no”. */
function Switch({ name, options, toggle, label, settings, say }: DisplayProps) {
  const [option] = options;
  if (!option) return <p class="zt-hint">{say("notStated")}</p>;
  const plain = affirmative.has(option.id) && option.id !== "in stock";
  return (
    <label class="zt-switch" data-faded={option.faded || undefined}>
      <input
        type="checkbox"
        role="switch"
        aria-checked={option.chosen}
        name={name}
        value={option.id}
        checked={option.chosen}
        disabled={option.faded}
        onChange={() => toggle(option.id)}
      />
      <span class="zt-knob" aria-hidden="true" />
      <span class="zt-name">{plain ? (settings.title ? say("onlyThese") : label) : option.label}</span>
      <OptionCount option={option} say={say} />
    </label>
  );
}

export const view: DisplayView = { View: Switch, sheets: ["switch/switch.css"] };
