/** Something that is wrong, in words. */
export function Alert({ text }: { text: string }) {
  return (
    <p role="alert" className="mt-4 rounded-lg border border-error/40 bg-error/10 px-4 py-2.5 text-error">
      {text}
    </p>
  );
}

/** An error beside its control; nothing without an error. */
export function Fault({ text, className = "" }: { text: string | undefined; className?: string }) {
  return text ? (
    <span role="alert" className={`block text-error ${className}`}>
      {text}
    </span>
  ) : null;
}
