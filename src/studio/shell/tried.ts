import { toast } from "sonner";
import { request, sendJson } from "../api.ts";

/**
 * Does something on the server and lists anew what it has changed; what is wrong is told.
 * @returns whether it worked
 */
export async function tried(task: () => Promise<unknown>, listAnew: () => Promise<unknown>): Promise<boolean> {
  try {
    await task();
    await listAnew();
    return true;
  } catch (error) {
    toast.error((error as Error).message);
    return false;
  }
}

/** Brings back what was removed. @param path of it */
export const restoreRemoved = (path: string, listAnew: () => Promise<unknown>): Promise<boolean> => {
  // Wherever it was asked for, the offer to do so is over.
  toast.dismiss(path);
  return tried(() => sendJson("POST", `${path}/restore`, {}), listAnew);
};

/** Removes something, and offers to bring it back. @param leave goes away from it before it is listed no more */
export async function removeWithUndo(
  path: string,
  name: string,
  listAnew: () => Promise<unknown>,
  leave?: () => void,
): Promise<void> {
  const removed = await tried(
    () => request(path, { method: "DELETE" }),
    () => {
      leave?.();
      return listAnew();
    },
  );
  if (removed)
    toast(`${name} was removed. You can restore it for 30 days.`, {
      id: path,
      duration: 10_000,
      action: { label: "Restore", onClick: () => void restoreRemoved(path, listAnew) },
    });
}
