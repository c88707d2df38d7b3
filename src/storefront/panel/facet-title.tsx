import { chosenIn } from "../../core/engine/selection.ts";
import type { DisplayProps } from "./displays/display-props.ts";
import { SpokenNumber } from "./spoken-number.tsx";

interface Props extends Pick<DisplayProps, "id" | "label" | "settings" | "choice" | "say"> {
  /** Undefined if the facet can't be collapsed. */
  open: boolean | undefined;
  fold(open: boolean): void;
}

/** A facet's title, as a button if it can be collapsed, with the number of chosen options, and the designer's hint. */
export function FacetTitle({ id, label, settings: { title, hint, chosenCount }, choice, say, open, fold }: Props) {
  const tip = hint ? `${id}-hint` : undefined;
  const chosen = chosenCount ? chosenIn(choice) : 0;
  const words = (
    <span>
      {label}
      {chosen > 0 ? <SpokenNumber n={chosen} as="chosenOf" class="zt-picked" say={say} /> : null}
    </span>
  );
  return (
    <>
      {title ? (
        <h3 class="zt-title" title={hint || undefined}>
          {open === undefined ? (
            words
          ) : (
            <button
              type="button"
              class="zt-fold"
              aria-expanded={open}
              aria-controls={id}
              aria-describedby={tip}
              onClick={() => fold(!open)}
            >
              {words}
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
