import { useVirtualizer } from "@tanstack/react-virtual";
import { type ReactNode, useRef } from "react";

const lineHeight = 28;

/** A virtualized list of any length. */
export function LongList({
  label,
  count,
  children,
}: {
  label: string;
  count: number;
  children(at: number): ReactNode;
}) {
  const box = useRef<HTMLUListElement>(null);
  const virtual = useVirtualizer({
    count,
    getScrollElement: () => box.current,
    estimateSize: () => lineHeight,
    overscan: 10,
  });
  return (
    <ul
      ref={box}
      // biome-ignore lint/a11y/noNoninteractiveTabindex: a list that scrolls must be reachable by the keyboard
      tabIndex={0}
      aria-label={label}
      className="relative min-h-0 flex-1 overflow-auto text-[13px]"
    >
      <li aria-hidden style={{ height: virtual.getTotalSize() }} />
      {virtual.getVirtualItems().map(({ index, start }) => (
        <li
          key={index}
          aria-setsize={count}
          aria-posinset={index + 1}
          className="absolute inset-x-0 top-0 py-1 pe-2"
          style={{ height: lineHeight, transform: `translateY(${start}px)` }}
        >
          {children(index)}
        </li>
      ))}
    </ul>
  );
}
