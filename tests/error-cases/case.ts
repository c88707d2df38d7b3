/** A text that somebody reads when something fails, and what makes it appear. */
export interface ErrorCase {
  /** The text, with `…` for what differs from run to run, like paths. */
  text: string;
  /** Makes it appear: answers with the text, or throws an error with it. */
  trigger(): unknown;
}

/** Cases from pairs of text and trigger. */
export const casesOf = (pairs: readonly (readonly [text: string, trigger: () => unknown])[]): ErrorCase[] =>
  pairs.map(([text, trigger]) => ({ text, trigger }));

/** The text that a case brings about. */
export async function textFrom({ trigger }: ErrorCase): Promise<string> {
  try {
    return String(await trigger());
  } catch (error) {
    return (error as Error).message;
  }
}
