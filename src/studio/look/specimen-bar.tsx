import type { ReactNode } from "react";
import { bands } from "../../core/settings/band.ts";
import { visions } from "../../core/swatch/measure.ts";
import { visionNames } from "../shell/sight.tsx";
import { grounds, type LookSession, useLook, useLookSession } from "./look-context.ts";

/** Display options of the specimens: band, background, words and colour vision. */
export function SpecimenBar() {
  const { session } = useLook();
  const now = useLookSession((state) => state);
  const put = (change: Partial<LookSession>) => session.setState(change);
  return (
    <div
      className="flex flex-none flex-wrap items-center gap-x-4 gap-y-1 border-b border-hair px-4 py-1.5 text-[13px]"
      role="group"
      aria-label="How specimens are shown"
    >
      <Pick name="Band" of={bands} value={now.band} set={(band) => put({ band })} />
      <Pick name="Colours" of={["light", "dark"] as const} value={now.scheme} set={(scheme) => put({ scheme })} />
      <Pick
        name="Background"
        of={grounds}
        value={now.ground}
        set={(ground) => put({ ground })}
        words={{ shop: "the shop’s" }}
      />
      <Pick
        name="Colour vision"
        of={visions}
        value={now.vision}
        set={(vision) => put({ vision })}
        words={visionNames}
      />
      <Pick name="Words" of={["usual", "short", "long"] as const} value={now.words} set={(words) => put({ words })} />
      <Pick
        name="Direction"
        of={["ltr", "rtl"] as const}
        value={now.direction}
        set={(direction) => put({ direction })}
        words={{ ltr: "left to right", rtl: "right to left" }}
      />
    </div>
  );
}

function Pick<T extends string>({
  name,
  of,
  value,
  set,
  words = {},
}: {
  name: string;
  of: readonly T[];
  value: T;
  set(value: T): void;
  words?: Partial<Record<T, string>>;
}): ReactNode {
  return (
    <label className="flex items-center gap-1.5 text-quiet">
      {name}
      <select
        className="select select-xs w-auto text-base-content"
        value={value}
        onChange={(event) => set(event.target.value as T)}
      >
        {of.map((one) => (
          <option key={one} value={one}>
            {words[one] ?? one}
          </option>
        ))}
      </select>
    </label>
  );
}
