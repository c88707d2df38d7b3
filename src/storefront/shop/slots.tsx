import type { ComponentChildren } from "preact";
import { useEffect, useRef } from "preact/hooks";
import type { Behaviour } from "../../core/settings/behaviour.ts";
import { placementFacts, type Slot as SlotName } from "../../core/settings/placement.ts";
import { bandsOf, FoldedPanel, type Placed, placedKey, placeMarks } from "../page/placed.tsx";
import { RichText } from "../panel/rich-text.tsx";
import { blocksOf } from "./blocks.ts";

/** The panels of a slot, in order; those behind a button come last. */
export function Slot({
  name,
  placed,
  show,
}: {
  name: SlotName;
  placed: readonly Placed[];
  show(one: Placed): ComponentChildren;
}) {
  const here = placed.filter(({ placement }) => placementFacts[placement].slot === name);
  const isFolded = ({ placement }: Placed) => placementFacts[placement].form === "folded";
  return (
    <>
      <OpenPanels name={name} placed={here.filter((one) => !isFolded(one))} show={show} />
      {here.filter(isFolded).map((one) => (
        <FoldedPanel key={placedKey(one)} one={one}>
          {show(one)}
        </FoldedPanel>
      ))}
    </>
  );
}

function OpenPanels({ name, placed, show }: Parameters<typeof Slot>[0]) {
  if (placed.length === 0) return null;
  const isColumn = placed.some(({ placement }) => placementFacts[placement].form === "column");
  const Tag = isColumn ? "aside" : "div";
  // Two sticky rows would overlap, so only the first is sticky.
  const firstOn = (on: string) => placed.find((one) => one.bands === on && one.state.behaviour.sticky);
  return (
    <Tag class={`zs-slot zs-${name}`} data-bands={bandsOf(placed)}>
      {placed.map((one) =>
        placementFacts[one.placement].sticks === "row" && one === firstOn(one.bands) ? (
          <StickyRow key={placedKey(one)} one={one}>
            {show(one)}
          </StickyRow>
        ) : (
          <div key={placedKey(one)} {...placeMarks(one)} {...(isColumn ? stickyOf(one.state.behaviour) : {})}>
            {show(one)}
          </div>
        ),
      )}
    </Tag>
  );
}

/** The text of an article, with its panels after the blocks they belong to. */
export function Article({
  html,
  base,
  placed,
  show,
}: {
  html: string;
  base: string;
  placed: readonly Placed[];
  show(one: Placed): ComponentChildren;
}) {
  const blocks = blocksOf(html);
  const inText = placed.filter(({ placement }) => placementFacts[placement].slot === "article");
  const after = ({ one }: Placed) => Math.min(one.after ?? 0, blocks.length);
  return (
    <div class="zs-article">
      {[...blocks, ""].map((block, at) => (
        <div key={at} class="zs-block">
          {inText
            .filter((one) => after(one) === at)
            .map((one) => (
              <div key={placedKey(one)} {...placeMarks(one)}>
                {show(one)}
              </div>
            ))}
          {block ? <RichText html={block} base={base} /> : null}
        </div>
      ))}
    </div>
  );
}

/** A row above the products that is sticky once scripts run, if it leaves enough of the screen free. */
function StickyRow({ one, children }: { one: Placed; children: ComponentChildren }) {
  const row = useRef<HTMLDivElement>(null);
  useEffect(() => {
    let end: (() => void) | undefined;
    let over = false;
    // Few pages have one.
    import("../page/sticky-row.ts").then(({ keepRow }) => {
      if (!over && row.current) end = keepRow(row.current);
    }, console.error);
    return () => {
      over = true;
      end?.();
    };
  }, []);
  return (
    <div ref={row} {...placeMarks(one)} data-row-sticky="" style={{ "--zt-nudge": `${one.state.behaviour.nudge}px` }}>
      {children}
    </div>
  );
}

/** Marks a sticky panel for the style sheet. */
const stickyOf = ({ sticky, nudge }: Behaviour) =>
  sticky ? { "data-sticky": "", style: { "--zt-nudge": `${nudge}px` } } : {};
