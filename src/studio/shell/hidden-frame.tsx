import type { RefObject } from "react";

interface Props {
  frame: RefObject<HTMLIFrameElement | null>;
  /** Its name, for debugging and tests. */
  title: string;
  src: string;
  /** Size of the page, in CSS px. */
  width: number;
  height: number;
}

/** A page that nobody sees: laid out and painted, since browsers count only painted moves, but out of the way. */
export const HiddenFrame = ({ frame, title, src, width, height }: Props) => (
  <div className="pointer-events-none fixed start-0 top-0 -z-10 size-px overflow-hidden opacity-0" aria-hidden inert>
    <iframe ref={frame} title={title} src={src} style={{ width, height }} />
  </div>
);
