import type { Say, WordKey } from "../words/say.ts";

interface Props {
  n: number;
  /** The phrase that it is read out with, such as “12 products”. */
  as: WordKey;
  class: string;
  say: Say;
}

/** A number that is seen alone and read out in a phrase. Drawn anew when it changes, so that it never counts as moved. */
export function SpokenNumber({ n, as, class: name, say }: Props) {
  // Where the number stands among the words differs by language.
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
