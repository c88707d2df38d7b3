import { useRef, useState } from "preact/hooks";
import type { Ends } from "../../../core/catalogue/numbers/scale.ts";
import { rangeOf } from "../../../core/engine/selection.ts";
import { rangeNames } from "../../../core/page/browse-state/address.ts";
import { readNumber, writeNumber } from "../read-number.ts";
import type { DisplayProps } from "./display-props.ts";
import { EndField } from "./end-field.tsx";

/**
 * Two fields for the ends of a range; an empty one leaves its end open. Numbers are read as they are formatted; other
 * text stays, and is reported. Ends in the wrong order are swapped.
 */
export function RangeInputs({ name, field, settings, label, choice, choose, ends, say, language, peek }: Props) {
  const chosen = rangeOf(choice);
  const [told, tell] = usePeek(peek);
  const names = rangeNames(name);
  const set = (min: number | undefined, max: number | undefined) => {
    tell(undefined);
    choose(rightWayRound(min, max));
  };
  const tryOut = (min: number | undefined, max: number | undefined) => tell(rightWayRound(min, max));
  const around = [field.unit ?? "", settings.prefix, settings.suffix];
  const same = {
    kind: field.kind,
    say,
    numbers: {
      parse: (text: string) => readNumber(text, language, around),
      write: (value: number) => writeNumber(value, language),
    },
    leave: () => tell(undefined),
  };
  return (
    <div class="zt-ends">
      <EndField
        {...same}
        name={names.min}
        label={say("rangeFrom", { label })}
        value={chosen.min}
        hint={ends.least}
        set={(value) => set(value, chosen.max)}
        typing={(value) => tryOut(value, chosen.max)}
      />
      <span aria-hidden="true">{say("to")}</span>
      <EndField
        {...same}
        name={names.max}
        label={say("rangeTo", { label })}
        value={chosen.max ?? chosen.below}
        hint={ends.most}
        set={(value) => set(chosen.min, value)}
        typing={(value) => tryOut(chosen.min, value)}
      />
      {/* Always there, so that what it says is read out; above what follows, so that nothing moves. */}
      <span aria-live="polite">
        {told === undefined ? null : <span class="zt-bubble zt-peek">{say("found", { n: told })}</span>}
      </span>
    </div>
  );
}

const rightWayRound = (min: number | undefined, max: number | undefined): Bounds =>
  min !== undefined && max !== undefined && min > max ? { min: max, max: min } : { min, max };

/** Delay after the last key before counting, in ms. */
const typingPause = 150;

/** The number of products in the range being typed, and a function that requests it. */
function usePeek(peek: Props["peek"]): [number | undefined, (range: Bounds | undefined) => void] {
  const [told, setTold] = useState<number>();
  const turn = useRef(0);
  const tell = (range: Bounds | undefined) => {
    const mine = ++turn.current;
    if (!range) setTold(undefined);
    else
      setTimeout(async () => {
        if (mine !== turn.current) return;
        const total = await peek(range);
        if (mine === turn.current) setTold(total);
      }, typingPause);
  };
  return [told, tell];
}

interface Bounds {
  min: number | undefined;
  max: number | undefined;
}

type Props = DisplayProps & { ends: Ends };
