import { FileCode2 } from "lucide-react";
import { useState } from "react";
import type { LookDocument } from "../../core/look/look-schema.ts";
import { shippedLooks } from "../../core/look/looks/looks.ts";
import { FromShop } from "./from-shop.tsx";
import { LookGlyph } from "./look-glyph.tsx";

/** Looks to start from: the shop's own style sheet, or a shipped look. */
export function LookStarts({ make }: { make(document: LookDocument): void }) {
  const [reading, setReading] = useState(false);
  if (reading) return <FromShop make={make} back={() => setReading(false)} />;
  return (
    <div className="flex flex-col gap-3">
      <button
        type="button"
        className="flex items-center gap-3 rounded-lg border border-primary p-3 text-start hover:bg-plum-soft"
        onClick={() => setReading(true)}
      >
        <FileCode2 size={20} aria-hidden />
        <span>
          <b className="block font-semibold">From the shop’s style sheet</b>
          <span className="text-[13px] text-quiet">
            Its .css files, a saved page or a picture: reads colours, fonts and corners
          </span>
        </span>
      </button>
      <ul className="grid grid-cols-2 gap-2">
        {shippedLooks.map(({ look, about }) => (
          <li key={look.name}>
            <button
              type="button"
              className="flex w-full items-center gap-3 rounded-lg border border-hair p-2 text-start hover:border-secondary hover:bg-sand"
              onClick={() => make(look)}
            >
              <LookGlyph look={look} />
              <span>
                <b className="block font-semibold">{look.name}</b>
                <span className="block text-[13px] leading-tight text-quiet">{about}</span>
              </span>
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}
