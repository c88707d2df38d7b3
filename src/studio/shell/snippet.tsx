import { Check, Copy } from "lucide-react";
import { type ReactNode, useState } from "react";

/** Code to copy, with a title and a note. */
export function Snippet({ title, text, children }: { title: string; text: string; children?: ReactNode }) {
  const [copied, setCopied] = useState(false);
  return (
    <figure className="flex min-w-0 flex-col gap-1">
      <figcaption className="flex items-center justify-between">
        <span className="font-medium">{title}</span>
        <button
          type="button"
          className="btn btn-ghost btn-xs"
          aria-label={`Copy: ${title}`}
          onClick={() =>
            navigator.clipboard.writeText(text.trim()).then(
              () => setCopied(true),
              () => setCopied(false),
            )
          }
        >
          {copied ? <Check size={13} aria-hidden /> : <Copy size={13} aria-hidden />} {copied ? "Copied" : "Copy"}
        </button>
      </figcaption>
      {children ? <p className="text-[13px] text-quiet">{children}</p> : null}
      <pre
        // biome-ignore lint/a11y/noNoninteractiveTabindex: a box that scrolls must be reached by the keyboard
        tabIndex={0}
        role="region"
        aria-label={title}
        className="overflow-x-auto rounded-lg bg-sand/70 p-3 text-[13px] leading-5"
      >
        {text.trim()}
      </pre>
    </figure>
  );
}
