import { boolean, type InferType } from "yup";
import { exact } from "../document/schema.ts";

/** The server's description of itself. */
export const toolState = exact({
  /** Whether signing in is required, and so signing out is possible. */
  signedIn: boolean().strict().required(),
});
export type ToolState = InferType<typeof toolState>;
