import {
  autoUpdate,
  FloatingFocusManager,
  FloatingPortal,
  flip,
  offset,
  type Placement,
  shift,
  size,
  useClick,
  useDismiss,
  useFloating,
  useInteractions,
  useRole,
} from "@floating-ui/react";
import { type ReactNode, useState } from "react";

interface Props {
  /** Name of what opens, for assistive technology. */
  label: string;
  placement?: Placement;
  /** The button that opens it; spread `props` on it. */
  trigger(props: Record<string, unknown>, open: boolean): ReactNode;
  children(close: () => void): ReactNode;
  className?: string;
  /** It is initially open; for one that is created on demand. */
  startsOpen?: boolean;
}

/** Positions of a card. One list for all, since the library compares it by identity. */
const middleware = [
  offset(6),
  flip({ padding: 8 }),
  shift({ padding: 8 }),
  size({
    padding: 8,
    apply: ({ availableHeight, elements }) => {
      elements.floating.style.maxHeight = `${Math.max(120, availableHeight)}px`;
    },
  }),
];

/** A card that opens at its button, traps focus while it is open, and closes on Escape or a click outside. */
export function Popover({
  label,
  placement = "bottom-start",
  trigger,
  children,
  className = "",
  startsOpen = false,
}: Props) {
  const [open, setOpen] = useState(startsOpen);
  const { refs, floatingStyles, context } = useFloating({
    open,
    onOpenChange: setOpen,
    placement,
    whileElementsMounted: autoUpdate,
    middleware,
  });
  const { getReferenceProps, getFloatingProps } = useInteractions([
    useClick(context),
    useDismiss(context),
    useRole(context, { role: "dialog" }),
  ]);
  return (
    <>
      {trigger({ ref: refs.setReference, ...getReferenceProps() }, open)}
      {open ? (
        <FloatingPortal>
          <FloatingFocusManager context={context} modal={false}>
            <div
              ref={refs.setFloating}
              style={floatingStyles}
              {...getFloatingProps()}
              role="dialog"
              aria-label={label}
              className={`z-40 overflow-auto rounded-box border border-hair bg-base-100 shadow-[0_12px_40px_#321a3d33] ${className}`}
            >
              {children(() => setOpen(false))}
            </div>
          </FloatingFocusManager>
        </FloatingPortal>
      ) : null}
    </>
  );
}
