/** Something in the command line that cannot be carried out; its message is one line for the user. */
export class UsageError extends Error {
  override name = "UsageError";
}
