import type { DisplayProps } from "./displays/display-props.ts";

interface Props extends Pick<DisplayProps, "id" | "label" | "settings"> {
  /** Undefined when the facet does not fold. */
  open: boolean | undefined;
  fold(open: boolean): void;
}

/** A facet's title, a button where it folds, and the designer's words on it. */
export function FacetTitle({ id, label, settings: { title, hint }, open, fold }: Props) {
  const tip = hint ? `${id}-hint` : undefined;
  return (
    <>
      {title ? (
        <h3 class="zt-title" title={hint || undefined}>
          {open === undefined ? (
            label
          ) : (
            <button
              type="button"
              class="zt-fold"
              aria-expanded={open}
              aria-controls={id}
              aria-describedby={tip}
              onClick={() => fold(!open)}
            >
              {label}
            </button>
          )}
        </h3>
      ) : null}
      {hint ? (
        <p id={tip} class="zt-tip" role="tooltip">
          {hint}
        </p>
      ) : null}
    </>
  );
}
