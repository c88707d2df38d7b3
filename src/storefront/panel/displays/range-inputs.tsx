import { fromNumber, toNumber } from "../../../core/catalogue/values.ts";
import { rangeOf } from "../../../core/match/selection.ts";
import type { Ends } from "../../../core/numbers/scale.ts";
import { rangeNames } from "../../../core/place/address.ts";
import type { DisplayProps } from "./display-props.ts";

/** Two fields for a range's ends; an empty one leaves its end open. */
export function RangeInputs({ name, field, label, choice, choose, ends, say }: DisplayProps & { ends: Ends }) {
  const chosen = rangeOf(choice);
  const names = rangeNames(name);
  return (
    <div class="zt-ends">
      <End
        name={names.min}
        label={say("rangeFrom", { label })}
        kind={field.kind}
        value={chosen.min}
        hint={ends.least}
        set={(value) => choose({ min: value, max: chosen.max })}
      />
      <span aria-hidden="true">{say("to")}</span>
      <End
        name={names.max}
        label={say("rangeTo", { label })}
        kind={field.kind}
        value={chosen.max}
        hint={ends.most}
        set={(value) => choose({ min: chosen.min, max: value })}
      />
    </div>
  );
}

interface EndProps {
  name: string;
  label: string;
  kind: DisplayProps["field"]["kind"];
  value: number | undefined;
  hint: number;
  set(value: number | undefined): void;
}

function End({ name, label, kind, value, hint, set }: EndProps) {
  const same = {
    class: "zt-end",
    name,
    "aria-label": label,
    placeholder: fromNumber(hint, kind),
    value: value === undefined ? "" : fromNumber(value, kind),
    onChange: (event: { currentTarget: HTMLInputElement }) => {
      const typed = toNumber(event.currentTarget.value.replace(",", "."), kind);
      // What is no number is taken back, so that the field never shows an end that does not hold.
      if (Number.isNaN(typed)) event.currentTarget.value = "";
      set(Number.isNaN(typed) ? undefined : typed);
    },
  };
  return kind === "date" ? <input type="date" {...same} /> : <input type="text" inputMode="decimal" {...same} />;
}
