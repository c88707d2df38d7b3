import type { PreviewNote, SentNote } from "../../core/api/preview.ts";

/** Longest time to wait for the server, in ms. */
const longest = 20_000;

async function ask<T>(address: string, init?: RequestInit): Promise<T> {
  const answer = await fetch(address, { ...init, signal: AbortSignal.timeout(longest) }).catch(() => undefined);
  if (!answer) throw new Error("The server cannot be reached. Check the connection and try again.");
  const body = await answer.json().catch(() => ({}));
  if (!answer.ok) throw new Error(body.error ?? "The server has a problem. Try again in a moment.");
  return body;
}

/** All notes on a preview. @throws Error with a sentence for the reader */
export const fetchNotes = (address: string): Promise<PreviewNote[]> => ask<PreviewNote[]>(address);

/** Pins a note. @throws Error with a sentence for the reader */
export const sendNote = (address: string, note: SentNote): Promise<PreviewNote> =>
  ask<PreviewNote>(address, {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify(note),
  });
