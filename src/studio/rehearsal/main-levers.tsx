import { useEffect, useState } from "react";
import { type Assumptions, assumed } from "../../core/rehearsal/assumptions.ts";

interface Props {
  assumptions: Assumptions;
  change(next: Assumptions): void;
}

/** The two most influential assumptions, beside the success rate. */
export function MainLevers({ assumptions, change }: Props) {
  const { known, first } = assumed(assumptions);
  const set = (values: Assumptions["values"]) =>
    change({ ...assumptions, values: { ...assumptions.values, ...values } });
  return (
    <div className="flex flex-wrap items-center gap-x-8 gap-y-1 border-b border-hair px-4 py-2 text-[13px]">
      <Uncertainty
        words="Shoppers know"
        value={Math.round(known * 100)}
        more={(value) => `${value}% of the default`}
        min={25}
        max={200}
        step={5}
        set={(value) => set({ known: value / 100 })}
      />
      <Uncertainty
        words="They look at"
        value={first}
        more={(value) => (value === 1 ? "the first product" : `the first ${value} products`)}
        min={1}
        max={48}
        step={1}
        set={(value) => set({ first: value })}
      />
    </div>
  );
}

interface LeverProps {
  words: string;
  value: number;
  more(value: number): string;
  min: number;
  max: number;
  step: number;
  set(value: number): void;
}

/** A number on a line; a change sends the shoppers again. */
function Uncertainty({ words, value, more, min, max, step, set }: LeverProps) {
  const [drawn, draw] = useState(value);
  useEffect(() => draw(value), [value]);
  const settle = () => {
    if (drawn !== value) set(drawn);
  };
  return (
    <label className="flex items-center gap-2">
      {words}
      <input
        type="range"
        className="range range-xs w-32"
        min={min}
        max={max}
        step={step}
        value={drawn}
        aria-valuetext={more(drawn)}
        onChange={(event) => draw(event.target.valueAsNumber)}
        onPointerUp={settle}
        onKeyUp={settle}
        onBlur={settle}
      />
      <span className="w-40 tabular-nums">{more(drawn)}</span>
    </label>
  );
}
