import { boolean, type InferType } from "yup";
import { exact } from "../document/schema.ts";

/** The server's description of itself. */
export const toolState = exact({
  /** Whether somebody has to sign in, and so can sign out. */
  signedIn: boolean().strict().required(),
});
export type ToolState = InferType<typeof toolState>;
