import type { Say, WordKey } from "../words/say.ts";

interface Props {
  n: number;
  /** The phrase read out, such as “12 products”. */
  as: WordKey;
  class: string;
  say: Say;
}

/** A visible number with a phrase for screen readers. Replaced when it changes, so that it never counts as moved. */
export function SpokenNumber({ n, as, class: name, say }: Props) {
  // The position of the number in the phrase depends on the language.
  const number = say.number(n);
  const [before, after] = say(as, { n }).split(number);
  return (
    <span key={n} class={name}>
      {before ? <span class="zt-unseen">{before}</span> : null}
      {number}
      {after ? <span class="zt-unseen">{after}</span> : null}
    </span>
  );
}
