import type { LoadedRole } from "./wire.ts";

/** The subject of a fault: a file of the handoff, or the page around it. */
export type TroubleOf = "manifest" | LoadedRole | "markup" | "page" | "display" | "list" | "products";

/** The error as events and the console tell it. */
export function troubleOf(error: unknown): { of: TroubleOf; file: string | undefined; message: string } {
  const { of, file, message } =
    error instanceof HandoffFault ? error : new HandoffFault("page", (error as Error).message);
  return { of, file, message };
}

/** Something that keeps a handoff from working completely. */
export class HandoffFault extends Error {
  override name = "HandoffFault";
  readonly of: TroubleOf;
  /** Address of the file concerned. */
  readonly file: string | undefined;

  constructor(of: TroubleOf, message: string, file?: string) {
    super(message);
    this.of = of;
    this.file = file;
  }
}
